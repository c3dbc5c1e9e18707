import { loadedAt, pulledAt } from '../oven/after'
import { type LogPoint, logAt } from '../oven/log/thin'
import type { OvenLog } from '../record/schemas'
import { indexAt, type TracePoint } from './measured'
import type { Stretch } from './timeline'

/** Within this of where it is held it has arrived, K. */
const ARRIVED_K = 8
const SAMPLES = 300

/**
 * A measured log laid over the plan of a group's blades: oven on, packets in, at heat and first out are tied to the same moments
 * of the plan, and what lies between is stretched to fit. Empty where the plan has no heat.
 */
export function logTrace(log: OvenLog, stretches: readonly Stretch[]): TracePoint[] {
  const points: readonly LogPoint[] = log.points
  const at = (phase: Stretch['phase']) => stretches.find(s => s.phase === phase)
  const soak = at('soak')
  const first = points[0]
  if (!soak || !first) return []
  const loaded = log.loadedMin ?? loadedAt(points)
  const pulled = log.pulledMin ?? pulledAt(points)
  const heldC = logAt(points, pulled)
  const arrived = points.find(([min, c]) => min > loaded && c >= heldC - ARRIVED_K)?.[0] ?? pulled
  const load = stretches.find(s => s.note?.startsWith('load'))
  const wanted = [
    { log: first[0], plan: stretches.find(s => s.phase === 'ramp')?.startMin ?? 0 },
    ...(load ? [{ log: loaded, plan: load.startMin }] : []),
    { log: arrived, plan: soak.startMin },
    { log: pulled, plan: soak.endMin },
  ]
  // Moments that fall together, or out of order, tie once.
  const anchors = wanted.filter((a, i) => wanted.slice(0, i).every(b => a.log > b.log && a.plan > b.plan))
  const planAt = (min: number): number | null => {
    const upper = anchors.findIndex(a => a.log >= min)
    const b = anchors[upper]
    if (!b) return null
    const a = anchors[upper - 1]
    return a ? a.plan + ((min - a.log) / (b.log - a.log)) * (b.plan - a.plan) : b.plan
  }
  const last = anchors.at(-1)?.log ?? 0
  return Array.from({ length: SAMPLES + 1 }, (_, i) => first[0] + ((last - first[0]) * i) / SAMPLES).flatMap(
    (min): TracePoint[] => {
      const planMin = planAt(min)
      const index = planMin === null ? -1 : indexAt(stretches, Math.min(planMin, soak.endMin - 1e-6))
      return planMin === null || index < 0 ? [] : [{ index, planMin, c: logAt(points, min) }]
    },
  )
}
