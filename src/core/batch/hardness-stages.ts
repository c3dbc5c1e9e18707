import type { PlannedRoute, Stage } from '../shop/route'
import type { Prediction } from '../steel/predict'

const TEMPER = 'temper-'

/** The stage after a temper, counted from 1. */
export const temperStage = (round: number): Stage => `${TEMPER}${round}` as Stage

/** Which temper a stage is after; null before the first. */
export const temperOf = (stage: Stage): number | null =>
  stage.startsWith(TEMPER) ? Number(stage.slice(TEMPER.length)) : null

/** Stages a route can be measured at, in order. */
export const stagesOf = (route: Pick<PlannedRoute, 'cold' | 'tempers'>): Stage[] => [
  'as-quenched',
  ...(route.cold ? (['after-cold'] as const) : []),
  ...route.tempers.map((_, i) => temperStage(i + 1)),
]

/** Returns the predicted hardness at a stage, HRC, or null if the route has no such stage. */
export function predictedAt(prediction: Pick<Prediction, 'hrc'>, stage: Stage): number | null {
  return predictionAt(prediction, stage)?.mean ?? null
}

/** The same with its band. */
export function predictionAt({ hrc }: Pick<Prediction, 'hrc'>, stage: Stage) {
  const temper = temperOf(stage)
  if (temper !== null) return hrc.afterTempers[temper - 1] ?? null
  return stage === 'as-quenched' ? hrc.asQuenched : hrc.afterCold
}

/** The route as it had been done when a reading was taken. */
export function routeUpTo(route: PlannedRoute, stage: Stage): PlannedRoute {
  if (stage === 'as-quenched') return { ...route, cold: null, tempers: [] }
  return { ...route, tempers: route.tempers.slice(0, temperOf(stage) ?? 0) }
}

/** The latest stage of a route that something is known of; null where nothing is. */
export const latestStage = (
  route: Pick<PlannedRoute, 'cold' | 'tempers'>,
  known: readonly { readonly stage: Stage }[],
): Stage | null => stagesOf(route).findLast(stage => known.some(r => r.stage === stage)) ?? null
