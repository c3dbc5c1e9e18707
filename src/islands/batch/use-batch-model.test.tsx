// @vitest-environment jsdom
import { renderHook } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { batchFiguresOf } from '../../core/bench/batch-figures'
import { ok } from '../../core/codes/result'
import { DEFAULT_WORKSHOP } from '../../core/shop/defaults'
import { gradeOf, trayOf } from '../../testing/tray'
import { useBatchModel } from './use-batch-model'

const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }], { ovenId: DEFAULT_WORKSHOP.ovens[0]?.id ?? '' })
const answer = ok(batchFiguresOf({ batch, shop: DEFAULT_WORKSHOP, readings: [], experienceOf: () => null }))
const told = vi.hoisted(() => ({ isOfBefore: false }))
vi.mock('../shop-context', () => ({ useShopNow: () => DEFAULT_WORKSHOP }))
vi.mock('../../workers/use-answer', () => ({ useTold: () => ({ answer, ...told }) }))

const NO_READINGS: never[] = []
const modelOf = (isOfBefore: boolean, how?: { readonly isForPaper: boolean }) => {
  told.isOfBefore = isOfBefore
  const { result } = renderHook(() => useBatchModel(batch, NO_READINGS, how))
  return result.current?.ok ? result.current.value : undefined
}

describe('a batch that is drawn', () => {
  it('as it was told of on an earlier visit shows its line, and nothing that gets keyed or timed', () => {
    const now = modelOf(false)?.loads[0]
    expect([now?.programme.ok, now?.pulls?.pulls.length]).toEqual([true, 2])
    const before = modelOf(true)
    expect(before?.groups[0]?.stretches.length).toBeGreaterThan(3)
    expect([before?.loads[0]?.programme.ok, before?.loads[0]?.pulls]).toEqual([false, null])
  })

  it('on paper is never of an earlier visit', () => {
    expect(modelOf(true, { isForPaper: true })).toBeUndefined()
    expect(modelOf(false, { isForPaper: true })?.batch).toBe(batch)
  })
})
