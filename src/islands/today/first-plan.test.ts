// @vitest-environment jsdom
import { beforeEach, expect, it } from 'vitest'
import { firstPlan, keptPlanOf } from './first-plan'

const KEY = 'tawny-day-first-plan'
const plan = (finishMin: number, ...batchIds: string[]) => ({
  finishMin,
  acts: batchIds.map(batchId => ({
    kind: 'load' as const,
    batchId,
    bladeIds: [`${batchId}1`],
    round: 0,
    startMin: finishMin - 300,
  })),
})

beforeEach(() => localStorage.clear())

it('is what the first plan of the day said, however late it gets', () => {
  expect(firstPlan('2026-03-03', ['a', 'b'], plan(900, 'a', 'b'))).toMatchObject(plan(900, 'a', 'b'))
  expect(firstPlan('2026-03-03', ['b', 'a'], plan(960, 'a', 'b'))).toMatchObject(plan(900, 'a', 'b'))
  expect(keptPlanOf('2026-03-03')).toMatchObject(plan(900, 'a', 'b'))
})

it('begins anew on another day, and where it cannot be read', () => {
  firstPlan('2026-03-03', ['a'], plan(900, 'a'))
  expect(firstPlan('2026-03-04', ['a'], plan(700, 'a'))).toEqual(plan(700, 'a'))
  expect(keptPlanOf('2026-03-03')).toBeNull()
  localStorage.setItem(KEY, '{')
  expect(keptPlanOf('2026-03-04')).toBeNull()
  expect(firstPlan('2026-03-04', ['a', 'c'], plan(850, 'a', 'c')).finishMin).toBe(850)
})

it('with a batch more counts the end anew, and keeps what was first said of the others, also once they are done', () => {
  firstPlan('2026-03-03', ['a'], plan(900, 'a'))
  const more = firstPlan('2026-03-03', ['a', 'b'], plan(1000, 'a', 'b'))
  expect(more.finishMin).toBe(1000)
  expect(more.acts.map(act => [act.batchId, act.startMin])).toEqual([
    ['a', 600],
    ['b', 700],
  ])
  expect(firstPlan('2026-03-03', ['b'], plan(1010, 'b')).acts).toHaveLength(2)
})

it('knows of no acts in what an older version kept', () => {
  localStorage.setItem(KEY, JSON.stringify({ date: '2026-03-03', batchIds: ['a'], finishMin: 900 }))
  expect(keptPlanOf('2026-03-03')).toMatchObject({ finishMin: 900, acts: [] })
})
