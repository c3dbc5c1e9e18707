// @vitest-environment jsdom
import { renderHook } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { useUnhurried } from './use-unhurried'

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => void vi.useRealTimers())

const unhurried = () => {
  const told: number[] = []
  const hook = renderHook(() => useUnhurried((n: number) => told.push(n), 100))
  return { told, ...hook.result.current, unmount: hook.unmount }
}

test('the first is told at once, of what follows too soon the newest alone, and the last is never left out', () => {
  const { told, say } = unhurried()
  say(1)
  expect(told).toEqual([1])
  for (const n of [2, 3, 4]) say(n)
  expect(told).toEqual([1])
  vi.advanceTimersByTime(99)
  expect(told).toEqual([1])
  vi.advanceTimersByTime(1)
  expect(told).toEqual([1, 4])
  vi.advanceTimersByTime(100)
  say(5)
  expect(told).toEqual([1, 4, 5])
})

test('what was let go of is told no more, and the next is told at once', () => {
  const { told, say, drop } = unhurried()
  say(1)
  say(2)
  drop()
  vi.advanceTimersByTime(500)
  expect(told).toEqual([1])
  say(3)
  expect(told).toEqual([1, 3])
})

test('a view that is gone is told nothing', () => {
  const { told, say, unmount } = unhurried()
  say(1)
  say(2)
  unmount()
  vi.advanceTimersByTime(500)
  expect(told).toEqual([1])
})
