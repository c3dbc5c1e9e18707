import { type LogPoint, logAt } from '../oven/log-points'
import { loadedAt, pulledAt } from '../oven/logged-soak'
import { cameOut, wentIn } from '../oven/logged-temper'
import type { OvenLog } from '../shop/oven-log'
import { indexAt, type TracePoint } from './run-trace'
import type { Phase, Stretch } from './timeline'

/** Within this of where it is held it has arrived, K. */
const ARRIVED_K = 8
/** A log that never came so near its soak is of a climb that was broken off or still goes on, K. */
const SHORT_OF_K = 40
const SAMPLES = 300

/** A moment of a log and the plan's minute it stands for. */
interface Tie {
  readonly log: number
  readonly plan: number
}

/**
 * A measured log laid over the plan of a group's blades, the heat or the temper it is of: moments that are in both are tied
 * together, and what lies between is stretched to fit; past the last of them it runs at its own pace. Empty where the plan has
 * no such stretch.
 */
export function logTrace(log: OvenLog, stretches: readonly Stretch[]): TracePoint[] {
  const temper = log.load?.temper ?? 0
  const laid = temper > 0 ? temperTies(log, stretches, temper) : heatTies(log, stretches)
  if (!laid) return []
  // Moments that fall together, or out of order, tie once.
  const ties = laid.ties.filter((a, i) => laid.ties.slice(0, i).every(b => a.log > b.log && a.plan > b.plan))
  const [first, last] = [ties[0], ties.at(-1)]
  if (!first || !last) return []
  const planAt = (min: number): number => {
    const upper = ties.findIndex(tie => tie.log >= min)
    const [a, b] = [ties[upper - 1], ties[upper]]
    if (!b) return last.plan + (min - last.log)
    return a ? a.plan + ((min - a.log) / (b.log - a.log)) * (b.plan - a.plan) : b.plan
  }
  const untilMin = laid.whole ? last.log : (log.points.at(-1)?.[0] ?? last.log)
  return Array.from({ length: SAMPLES + 1 }, (_, i) => first.log + ((untilMin - first.log) * i) / SAMPLES).flatMap(
    (min): TracePoint[] => {
      const planMin = planAt(min)
      const index = indexAt(stretches, Math.min(planMin, laid.endMin - 1e-6))
      return planMin > laid.endMin + 1e-6 || index < 0 ? [] : [{ index, planMin, c: logAt(log.points, min) }]
    },
  )
}

/** Ties of a log, the plan's minute it ends at, and whether it goes all the way. */
type Laid = { readonly ties: readonly Tie[]; readonly endMin: number; readonly whole: boolean }

const arrivedAt = (points: readonly LogPoint[], fromMin: number, heldC: number): number | undefined =>
  points.find(([min, c]) => min >= fromMin && c >= heldC - ARRIVED_K)?.[0]

/** Oven on, packets in, at heat and first out. */
function heatTies(log: OvenLog, stretches: readonly Stretch[]): Laid | null {
  const soak = stretches.find(s => s.phase === 'soak')
  const [first] = log.points
  if (!soak || !first) return null
  const loaded = log.loadedMin ?? loadedAt(log.points)
  const load = stretches.find(s => s.note?.code === 'load')
  const up = [
    { log: first[0], plan: stretches.find(s => s.phase === 'ramp')?.startMin ?? 0 },
    ...(load ? [{ log: loaded, plan: load.startMin }] : []),
  ]
  const hottest = Math.max(...log.points.map(([, c]) => c))
  if (hottest < (soak.points[0]?.[1] ?? 0) - SHORT_OF_K) return { ties: up, endMin: soak.startMin, whole: false }
  const pulled = log.pulledMin ?? pulledAt(log.points)
  const arrived = arrivedAt(log.points, loaded, logAt(log.points, pulled)) ?? pulled
  return {
    ties: [...up, { log: arrived, plan: soak.startMin }, { log: pulled, plan: soak.endMin }],
    endMin: soak.endMin,
    whole: true,
  }
}

/** Blades in, at the temper, and out. */
function temperTies(log: OvenLog, stretches: readonly Stretch[], temper: number): Laid | null {
  const nth = (phase: Phase) => stretches.filter(s => s.phase === phase)[temper - 1]
  const [ramp, hold] = [nth('temper-ramp'), nth('temper')]
  if (!ramp || !hold) return null
  const went = log.loadedMin ?? wentIn(log.points)
  const came = log.pulledMin ?? cameOut(log.points)
  const arrived = arrivedAt(log.points, went, logAt(log.points, came)) ?? came
  return {
    ties: [
      { log: went, plan: ramp.startMin },
      { log: arrived, plan: hold.startMin },
      { log: came, plan: hold.endMin },
    ],
    endMin: hold.endMin,
    whole: true,
  }
}
