import { OVEN_FIT } from '../../../data/oven-fit'
import { type LogPoint, logAt } from '../log-points'
import { type DetailedOven, OvenModel } from '../oven-model'
import type { Leg } from './legs'

/** How hard a held oven follows its log, share of full power per K. */
const FOLLOW_PER_K = 0.15

/**
 * The display of a modelled oven through the legs of a log, one value for each of `atMin`: full power where it climbed, none where
 * it cooled, and where it was held just the power that keeps to the log.
 */
export function replay(
  oven: DetailedOven,
  legs: readonly Leg[],
  points: readonly LogPoint[],
  atMin: readonly number[],
): Float64Array {
  const [first] = points
  const model = new OvenModel(oven, first?.[1] ?? 20)
  const out = new Float64Array(atMin.length)
  const startMin = first?.[0] ?? 0
  const { stepS: fineS, smoothStepS, fineForMin } = OVEN_FIT
  let next = 0
  let leg = 0
  let held = 0.3
  let stepS: number = fineS
  for (let s = 0; next < atMin.length; s += stepS) {
    const min = startMin + s / 60
    while (next < atMin.length && (atMin[next] as number) <= min + 1e-9) out[next++] = model.indicatedC
    while (leg < legs.length - 1 && min >= (legs[leg] as Leg).toMin) leg++
    const kind = legs[leg]?.kind ?? 'off'
    const sinceMin = min - (legs[leg]?.fromMin ?? startMin)
    stepS = kind === 'off' && sinceMin > fineForMin ? smoothStepS : fineS
    let share = kind === 'full' ? 1 : 0
    if (kind === 'held') {
      const error = logAt(points, min + stepS / 60) - model.indicatedC
      held = Math.min(1, Math.max(0, held + 0.02 * FOLLOW_PER_K * error))
      share = Math.min(1, Math.max(0, held + FOLLOW_PER_K * error))
    }
    model.step(share, false, stepS)
  }
  return out
}
