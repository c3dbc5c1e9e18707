import { useMemo } from 'react'
import { ovenPreset } from '../../core/oven/presets'
import { planTimeline, type Stretch } from '../../core/plan/timeline'
import { bladesOf, entryFor, loadsOf, steelKgOf, thickestMm } from '../../core/plan/tray'
import type { Batch, BatchGroup, Workshop } from '../../core/record/schemas'
import { findGrade } from '../../core/steel/grades'
import { type Prediction, predict } from '../../core/steel/predict'
import type { Grade } from '../../data/grades'
import type { OvenPreset } from '../../data/ovens'

/** A group of a batch with all that is computed for it. */
export interface GroupPlan {
  readonly group: BatchGroup
  readonly grade: Grade
  readonly prediction: Prediction
  readonly stretches: readonly Stretch[]
  readonly thicknessMm: number
}

export const ovenOf = (shop: Workshop): OvenPreset => ovenPreset(shop.oven.preset)

/** Blades assumed while the tray is still empty, mm. */
const ASSUMED_MM = 2.5

/** Prediction and timeline of every group whose grade is known; recomputed when batch or shop change. */
export function usePlans(batch: Batch, shop: Workshop): GroupPlan[] {
  return useMemo(() => {
    const loads = loadsOf(batch)
    return batch.groups.flatMap(group => {
      const grade = findGrade(group.gradeName)
      if (!grade) return []
      const thicknessMm = thickestMm(bladesOf(batch, group.id)) || ASSUMED_MM
      const load = loads.find(l => l.groups.includes(group))
      const equalise = load?.equalise ?? grade.equalise
      const stretches = planTimeline({
        route: group.route,
        equalise,
        entryC: load?.entryC ?? entryFor(equalise, group.route.austenitizeC),
        oven: ovenOf(shop),
        steelKg: steelKgOf(batch.blades),
        thicknessMm,
      })
      return [{ group, grade, prediction: predict(grade, group.route), stretches, thicknessMm }]
    })
  }, [batch, shop])
}
