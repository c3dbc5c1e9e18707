import { type LogPoint, logAt } from '../log-points'

/** A stretch of a log by what the power did. */
export interface Leg {
  readonly kind: 'full' | 'held' | 'off'
  readonly fromMin: number
  readonly toMin: number
}

/** Within this of the hottest it has arrived, K. */
const ARRIVED_K = 12
/** Falling by this much for this long is cooling with the power off. */
const COOLING_K = 40
const COOLING_MIN = 15
/** A straight climb: rates of its first and last third differ by less than this share. */
const STRAIGHT = 0.12

/**
 * Returns the legs of a log, by the shape of its power: full from the start until it is nearly at its hottest, held there, off in the long
 * fall at the end. A climb that is straight was held to a rate and says nothing of the oven's own: `limited`.
 */
export function legsOf(points: readonly LogPoint[]): { readonly legs: Leg[]; readonly limited: boolean } {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last) return { legs: [], limited: false }
  const peakC = Math.max(...points.map(([, c]) => c))
  const arrived = points.find(([, c]) => c >= peakC - ARRIVED_K) ?? last
  const lastHot = [...points].reverse().find(([, c]) => c >= peakC - ARRIVED_K) ?? last
  const legs: Leg[] = []
  const climbed = arrived[1] - first[1] > 100
  if (climbed) legs.push({ kind: 'full', fromMin: first[0], toMin: arrived[0] })
  const cools = last[1] < lastHot[1] - COOLING_K && last[0] - lastHot[0] >= COOLING_MIN
  if (lastHot[0] > arrived[0]) legs.push({ kind: 'held', fromMin: arrived[0], toMin: lastHot[0] })
  if (cools) legs.push({ kind: 'off', fromMin: lastHot[0], toMin: last[0] })
  return { legs, limited: climbed && straight(points, first[0], arrived[0]) }
}

function straight(points: readonly LogPoint[], fromMin: number, toMin: number): boolean {
  const third = (toMin - fromMin) / 3
  const rate = (a: number, b: number) => (logAt(points, b) - logAt(points, a)) / (b - a)
  const [early, late] = [rate(fromMin + 0.1 * third, fromMin + third), rate(toMin - third, toMin)]
  return Math.abs(early - late) < STRAIGHT * Math.abs(early)
}
