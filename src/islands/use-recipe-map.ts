import { useMemo } from 'react'
import type { Learnt } from '../core/learn/shop-memory'
import { outward } from '../core/numeric/round'
import type { TargetHrc } from '../core/rockwell/target'
import type { BatchGroup } from '../core/shop/batch'
import { steelRequest } from '../core/steel/grades'
import type { Grade } from '../data/grades'
import { useAnswer } from '../workers/use-answer'

const SIZE = 80
/** How far the map looks past the grade's window, K. */
const BEYOND_K = 40
const TEMPER_RANGE_C = { min: 100, max: 600 }

/**
 * The recipe map of a grade for a route's cold, times and count of tempers. The route's own temperatures are left out
 * of the question, so that the map stands still while its point is dragged.
 */
export function useRecipeMap(grade: Grade, route: BatchGroup['route'], target: TargetHrc, learnt: Learnt | null) {
  const { minC, maxC, defaultC } = grade.austenitize
  const { min, max } = target
  const { min: least, max: most } = outward(
    { min: Math.min(minC - BEYOND_K, route.austenitizeC), max: Math.max(maxC + BEYOND_K, route.austenitizeC) },
    20,
  )
  const still = JSON.stringify({
    ...route,
    austenitizeC: defaultC,
    tempers: route.tempers.map(temper => ({ ...temper, atC: 200 })),
  })
  const request = useMemo(
    () => ({
      steel: steelRequest(grade),
      route: JSON.parse(still) as BatchGroup['route'],
      austenitizeC: { min: Math.max(700, least), max: Math.min(1300, most) },
      temperC: TEMPER_RANGE_C,
      size: SIZE,
      learnt,
      lines: [min, max],
    }),
    [grade, still, least, most, learnt, min, max],
  )
  return useAnswer('recipe-map', request)
}
