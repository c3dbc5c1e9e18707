import { useMemo } from 'react'
import { loadKg } from '../../core/plan/heat-load'
import { planTimeline, type Stretch } from '../../core/plan/timeline'
import { bladesOf, entryOf, loadsOf, steelKgOf, thickestMm } from '../../core/plan/tray'
import { chamberOf, ovenOf } from '../../core/record/oven-record'
import type { Batch, BatchGroup, Workshop } from '../../core/record/schemas'
import { gradeOf, steelRequest } from '../../core/steel/grades'
import type { ShopFit } from '../../core/steel/learn/fit-shop'
import { type Prediction, predict, type ShopExperience } from '../../core/steel/predict'
import type { Grade } from '../../data/grades'
import { experienceOf } from '../use-shop-fit'

/** A group of a batch with all that is computed for it. */
export interface GroupPlan {
  readonly group: BatchGroup
  readonly grade: Grade
  /** The grade as the worker is asked about it. */
  readonly steel: ReturnType<typeof steelRequest>
  /** What the shop's own readings add; null where they do not help or are switched off. */
  readonly experience: ShopExperience | null
  readonly prediction: Prediction
  readonly stretches: readonly Stretch[]
  readonly thicknessMm: number
}

/** Blades assumed while the tray is still empty, mm. */
const ASSUMED_MM = 2.5

/** Prediction and timeline of every group whose grade is known; recomputed when batch, shop or what it learnt change. */
export function usePlans(batch: Batch, shop: Workshop, fit: ShopFit | null | undefined): GroupPlan[] {
  return useMemo(() => {
    const loads = loadsOf(batch)
    return batch.groups.flatMap(group => {
      const grade = gradeOf(group)
      if (!grade) return []
      const thicknessMm = thickestMm(bladesOf(batch, group.id)) || ASSUMED_MM
      const load = loads.find(l => l.groups.includes(group))
      const entry = load ?? entryOf(batch.entry, grade.equalise, group.route.austenitizeC)
      const stretches = planTimeline({
        route: group.route,
        equalise: entry.equalise,
        entryC: entry.entryC,
        oven: chamberOf(ovenOf(shop, batch)),
        steelKg: load ? loadKg(load) : steelKgOf(batch.blades),
        thicknessMm,
      })
      const experience = experienceOf(fit, shop, group.lot, batch.oven)
      return [
        {
          group,
          grade,
          steel: steelRequest(grade),
          experience,
          prediction: predict(grade, group.route, experience),
          stretches,
          thicknessMm,
        },
      ]
    })
  }, [batch, shop, fit])
}
