import type { BatchGroup, Reading } from '../record/schemas'
import type { Prediction } from '../steel/predict'
import type { Route } from '../steel/route'
import type { Stage } from '../verdict/advise'

/** Stages a route can be measured at, in order. */
export const stagesOf = (route: Pick<Route, 'cold' | 'tempers'>): Reading['stage'][] => [
  'as-quenched',
  ...(route.cold ? (['after-cold'] as const) : []),
  ...route.tempers.map((_, i) => `temper-${i + 1}` as Reading['stage']),
]

export const stageLabel = (stage: Stage): string =>
  stage === 'as-quenched'
    ? 'as quenched'
    : stage === 'after-cold'
      ? 'after cold'
      : `after temper ${stage.slice('temper-'.length)}`

/** What a stage should read, HRC. */
export function predictedAt(prediction: Prediction, stage: Stage): number | null {
  if (stage === 'as-quenched') return prediction.hrc.asQuenched.mean
  if (stage === 'after-cold') return prediction.hrc.afterCold?.mean ?? null
  return prediction.hrc.afterTempers[Number(stage.slice('temper-'.length)) - 1]?.mean ?? null
}

/** The route as it had been done when a reading was taken. */
export function routeUpTo(route: BatchGroup['route'], stage: Stage): BatchGroup['route'] {
  if (stage === 'as-quenched') return { ...route, cold: null, tempers: [] }
  if (stage === 'after-cold') return { ...route, tempers: [] }
  return { ...route, tempers: route.tempers.slice(0, Number(stage.slice('temper-'.length))) }
}

/** The latest stage with readings; null without any. */
export function latestStage(
  route: BatchGroup['route'],
  readings: readonly Pick<Reading, 'stage'>[],
): Reading['stage'] | null {
  return stagesOf(route).findLast(stage => readings.some(r => r.stage === stage)) ?? null
}
