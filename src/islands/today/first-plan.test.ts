// @vitest-environment jsdom
import { beforeEach, expect, it } from 'vitest'
import { firstFinish } from './first-plan'

beforeEach(() => localStorage.clear())

it('is what the first plan of the day said, however late it gets', () => {
  expect(firstFinish('2026-03-03', ['a', 'b'], 900)).toBe(900)
  expect(firstFinish('2026-03-03', ['b', 'a'], 960)).toBe(900)
})

it('begins anew on another day, with other batches, and where it cannot be read', () => {
  firstFinish('2026-03-03', ['a'], 900)
  expect(firstFinish('2026-03-04', ['a'], 700)).toBe(700)
  expect(firstFinish('2026-03-04', ['a', 'c'], 800)).toBe(800)
  localStorage.setItem('tawny-day-first-plan', '{')
  expect(firstFinish('2026-03-04', ['a', 'c'], 850)).toBe(850)
})
