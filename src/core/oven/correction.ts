import { CORRECTION } from '../../data/correction'
import { type WorkingLine, worked } from '../codes/working'
import { halfWidth95 } from '../numeric/coverage'
import { compareInstants } from '../numeric/instants'
import type { CorrectedOven, OvenEvidence } from './evidence'
import { surveyOf } from './survey'

/** One observation: the blades' true temperature less the display. */
export interface OffsetObservation {
  readonly id: string
  readonly kind: OvenEvidence['kind']
  readonly at: string
  readonly atC: number
  readonly offsetK: number
  /** One sigma, without the ageing. */
  readonly sdK: number
}

/** True less shown at a display temperature, with one standard deviation. */
export interface OffsetEstimate {
  readonly meanK: number
  readonly sdK: number
}

const YEAR_MS = 365.25 * 86_400_000

/** Each piece of evidence as one observation, oldest first. */
export const observationsOf = (evidence: readonly OvenEvidence[]): OffsetObservation[] =>
  evidence
    .map((item): OffsetObservation => {
      const { id, kind, at } = item
      if (kind === 'sensor')
        return { id, kind, at, atC: item.indicatedC, offsetK: item.trueC - item.indicatedC, sdK: item.sdK }
      if (kind === 'hardness') return { id, kind, at, atC: item.atC, offsetK: item.offsetK, sdK: item.sdK }
      const survey = surveyOf(item)
      return { id, kind, at, atC: item.indicatedC, offsetK: survey.meanC - item.indicatedC, sdK: survey.meanSdK }
    })
    .sort((a, b) => compareInstants(a.at, b.at))

/**
 * Offset of a display by temperature, from all that is known: a line in temperature with a normal prior, each observation
 * weighted by its variance and its age at the newest. Source: Bayesian linear regression, Bishop (2006), eq. 3.50 and 3.51.
 */
export function offsetLine(observations: readonly OffsetObservation[]): (atC: number) => OffsetEstimate {
  const { priorSdK, priorSlopeSdK, referenceC, slopeOverK, driftSdKPerYear } = CORRECTION
  const newest = Math.max(...observations.map(o => Date.parse(o.at)))
  let [p11, p12, p22] = [1 / priorSdK ** 2, 0, 1 / priorSlopeSdK ** 2]
  let [q1, q2] = [0, 0]
  for (const { at, atC, offsetK, sdK } of observations) {
    const years = (newest - Date.parse(at)) / YEAR_MS
    const weight = 1 / (sdK ** 2 + driftSdKPerYear ** 2 * years)
    const x = (atC - referenceC) / slopeOverK
    p11 += weight
    p12 += weight * x
    p22 += weight * x * x
    q1 += weight * offsetK
    q2 += weight * x * offsetK
  }
  const determinant = p11 * p22 - p12 * p12
  const [v11, v12, v22] = [p22 / determinant, -p12 / determinant, p11 / determinant]
  const [a, b] = [v11 * q1 + v12 * q2, v12 * q1 + v22 * q2]
  return atC => {
    const x = (atC - referenceC) / slopeOverK
    return { meanK: a + b * x, sdK: Math.sqrt(v11 + 2 * x * v12 + x * x * v22) }
  }
}

/** Returns the correction of an oven: what is added to a wanted temperature to get what is keyed, K, by temperature. */
export function correctionOf(oven: CorrectedOven): (atC: number) => number {
  if (oven.correctionFrom === 'hand' || oven.evidence.length === 0) return () => oven.correctionC
  const line = offsetLine(observationsOf(oven.evidence))
  return atC => -line(atC).meanK
}

/** Returns the correction at a temperature, K; negative where the oven runs hot. */
export const correctionAt = (oven: CorrectedOven, atC: number): number => correctionOf(oven)(atC)

/** Returns the temperature to key so that the blades reach one, °C. */
export const keyedC = (oven: CorrectedOven, wantedC: number): number => wantedC + correctionAt(oven, wantedC)

/** The hottest the blades may be asked to see, so that what is keyed stays within the oven's limit, °C. */
export const reachC = (oven: CorrectedOven & { readonly maxC: number }): number =>
  oven.maxC - correctionAt(oven, oven.maxC)

/** How far what is keyed by hand is from what was measured at a temperature, K; null where it lies within the 95 % band. */
export function handAgainstEvidence(oven: CorrectedOven, atC: number): number | null {
  if (oven.correctionFrom !== 'hand' || oven.evidence.length === 0) return null
  const { meanK, sdK } = offsetLine(observationsOf(oven.evidence))(atC)
  const apart = oven.correctionC + meanK
  return Math.abs(apart) > halfWidth95(sdK) ? apart : null
}

/** How the correction came about at a temperature, one line for each kind of evidence. */
export function correctionWorking(oven: Pick<CorrectedOven, 'evidence'>, atC: number): WorkingLine[] {
  const all = observationsOf(oven.evidence)
  const kinds = ['sensor', 'survey', 'hardness'] as const
  return kinds.flatMap(kind => {
    const own = all.filter(o => o.kind === kind)
    if (own.length === 0) return []
    const { meanK, sdK } = offsetLine(own)(atC)
    return [worked('correction-by', -meanK, 'K', { kind, count: own.length, sdK })]
  })
}

/** The estimate at one temperature as it stood after each piece of evidence: how the oven drifts. */
export function driftOf(
  evidence: readonly OvenEvidence[],
  atC: number,
): readonly (OffsetEstimate & { readonly at: string; readonly kind: OvenEvidence['kind'] })[] {
  const all = observationsOf(evidence)
  return all.map((o, i) => ({ at: o.at, kind: o.kind, ...offsetLine(all.slice(0, i + 1))(atC) }))
}

/**
 * How far the newest measurement of an oven is from what those before it said of that temperature, K; null with nothing before it, or
 * where it lies within the 95 % band of both and of what the time between adds.
 */
export function driftedK(evidence: readonly OvenEvidence[]): number | null {
  const all = observationsOf(evidence)
  const newest = all.at(-1)
  const before = all.slice(0, -1)
  if (!newest || before.length === 0) return null
  const { meanK, sdK } = offsetLine(before)(newest.atC)
  const years = (Date.parse(newest.at) - Date.parse(before.at(-1)?.at ?? newest.at)) / YEAR_MS
  const byK = newest.offsetK - meanK
  const sd = Math.sqrt(sdK ** 2 + newest.sdK ** 2 + CORRECTION.driftSdKPerYear ** 2 * years)
  return Math.abs(byK) > halfWidth95(sd) ? byK : null
}
