import { expect, test, vi } from 'vitest'
import { remembered } from './remembered'

test('what was asked before is not worked out again, also where the answer is nothing', () => {
  const slow = vi.fn(({ n }: { n: number }) => (n === 0 ? undefined : n * 2))
  const quick = remembered(slow, 3)
  expect([quick({ n: 2 }), quick({ n: 2 }), quick({ n: 0 }), quick({ n: 0 })]).toEqual([4, 4, undefined, undefined])
  expect(slow).toHaveBeenCalledTimes(2)
})

test('of more than it keeps, the one not asked for the longest goes', () => {
  const slow = vi.fn((n: number) => n)
  const quick = remembered(slow, 2)
  for (const n of [1, 2, 1, 3, 1]) quick(n)
  expect(slow.mock.calls.flat()).toEqual([1, 2, 3])
  quick(2)
  expect(slow.mock.calls.flat()).toEqual([1, 2, 3, 2])
})
