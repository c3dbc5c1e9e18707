// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { awaited, waitedFor } from '../workers/waited-for'
import { useAtRest } from './use-at-rest'

beforeEach(() => vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => {
  cleanup()
  vi.useRealTimers()
})

const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms))

describe('a page comes to rest', () => {
  it('when it stood a while with nothing left to be answered', async () => {
    const { result } = renderHook(useAtRest)
    await pass(1400)
    expect(result.current).toBe(false)
    await pass(200)
    expect(result.current).toBe(true)
  })

  it('not before what it asked is answered: answered or not', async () => {
    let fail: (error: Error) => void = () => undefined
    const asked = awaited(new Promise<void>((_, reject) => (fail = reject))).catch(() => undefined)
    const { result } = renderHook(useAtRest)
    await pass(4000)
    expect(result.current).toBe(false)
    fail(new Error('no worker'))
    await act(() => asked)
    expect([result.current, waitedFor.get()]).toEqual([true, 0])
  })

  it('at last all the same, where it never stops asking', async () => {
    const end = vi.fn()
    void awaited(new Promise<void>(resolve => end.mockImplementation(resolve)))
    const { result } = renderHook(useAtRest)
    await pass(7900)
    expect(result.current).toBe(false)
    await pass(200)
    expect(result.current).toBe(true)
    end()
  })
})
