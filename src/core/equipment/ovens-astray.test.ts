import { expect, it } from 'vitest'
import type { OvenEvidence } from '../oven/evidence'
import { newOven } from '../shop/defaults'
import { ovensAstray } from './ovens-astray'

const check = (trueC: number, at: string): OvenEvidence => ({
  id: at,
  kind: 'sensor',
  at: `${at}T08:00:00.000Z`,
  indicatedC: 1065,
  trueC,
  sdK: 1.5,
})
const oven = (correctionFrom: 'hand' | 'evidence', correctionC: number, ...evidence: OvenEvidence[]) => ({
  ...newOven('o', 'Oven', 'medium'),
  correctionFrom,
  correctionC,
  evidence,
})

it('names an oven keyed by hand against what was measured, and one whose display moved', () => {
  expect(ovensAstray([oven('hand', 0, check(1085, '2026-03-01'))])).toMatchObject([{ isHand: true }])
  const [moved] = ovensAstray([oven('evidence', 0, check(1065, '2026-03-01'), check(1050, '2026-03-20'))])
  expect(moved).toMatchObject({ isHand: false })
  expect(moved?.byK).toBeLessThan(-10)
})

it('lets one pass that is a few degrees off, or of which too little is known', () => {
  expect(ovensAstray([oven('hand', 0, check(1069, '2026-03-01'))])).toEqual([])
  expect(ovensAstray([oven('evidence', 0, check(1085, '2026-03-01'))])).toEqual([])
  expect(ovensAstray([oven('hand', -20)])).toEqual([])
})
