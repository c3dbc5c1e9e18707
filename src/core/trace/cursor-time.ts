import type { TracePoint } from './run-trace'
import type { Phase, Stretch } from './timeline'

/** A moment on a steel's plan: where the blades are then and how hot. */
export interface Moment {
  readonly index: number
  /** From oven on, min. */
  readonly minute: number
  readonly c: number
  readonly phase: Phase
  readonly station: Stretch['station']
  /** How far through its stretch, 0..1. */
  readonly share: number
  /** Display temperature then, °C; null if nothing was measured near it. */
  readonly measuredC: number | null
}

/** A measured point further from the moment than this is of another one, min. */
const NEAR_MIN = 6

/** The planned moment inside a stretch; `minute` is held within it. Undefined where there is no such stretch. */
export function momentIn(
  stretches: readonly Stretch[],
  index: number,
  minute: number,
  trace: readonly TracePoint[] = [],
): Moment | undefined {
  const stretch = stretches[index]
  if (!stretch) return undefined
  const { startMin, endMin, points, phase, station } = stretch
  const at = Math.min(endMin, Math.max(startMin, minute))
  const upper = points.findIndex(([min]) => min >= at)
  const b = points[upper < 0 ? points.length - 1 : upper] as readonly [number, number]
  const a = points[Math.max(0, (upper < 0 ? points.length : upper) - 1)] as readonly [number, number]
  const c = b[0] === a[0] ? b[1] : a[1] + ((at - a[0]) / (b[0] - a[0])) * (b[1] - a[1])
  const own = trace.filter(point => point.index === index)
  const nearest = own.reduce<TracePoint | undefined>(
    (best, point) => (!best || Math.abs(point.planMin - at) < Math.abs(best.planMin - at) ? point : best),
    undefined,
  )
  return {
    index,
    minute: at,
    c,
    phase,
    station,
    share: endMin > startMin ? (at - startMin) / (endMin - startMin) : 0,
    measuredC: nearest && Math.abs(nearest.planMin - at) <= NEAR_MIN ? nearest.c : null,
  }
}

/** The planned moment so many minutes from oven on, within the timed part of the plan; undefined without one. */
export function momentAt(
  stretches: readonly Stretch[],
  minute: number,
  trace: readonly TracePoint[] = [],
): Moment | undefined {
  const timed = stretches.flatMap((s, index) => (s.endMin > s.startMin ? [index] : []))
  const index = timed.find(i => minute < (stretches[i]?.endMin ?? 0)) ?? timed.at(-1)
  return index === undefined ? undefined : momentIn(stretches, index, minute, trace)
}

/** How long the timed part of a plan is, min. */
export const planLengthMin = (stretches: readonly Stretch[]): number => stretches.at(-1)?.endMin ?? 0

/** Where the blades are at a moment, as far as drawings tell them apart. */
export type Whereabouts = 'bench' | 'oven' | 'plates' | 'rack' | 'cold' | 'temper'

/** Where the blades are: the first ramp of a heat runs with the oven empty, until the load. */
export function whereaboutsAt(stretches: readonly Stretch[], { index, phase }: Moment): Whereabouts {
  if (phase === 'quench') return 'plates'
  if (phase === 'chill' || phase === 'cold') return 'cold'
  if (phase === 'temper' || phase === 'temper-ramp') return 'temper'
  const inOven = phase === 'ramp' || phase === 'equalise' || phase === 'soak'
  if (!inOven) return phase === 'room' && index < firstTimed(stretches) ? 'bench' : 'rack'
  const load = stretches.findIndex(s => s.note?.code === 'load')
  return load >= 0 && index < load ? 'bench' : 'oven'
}

const firstTimed = (stretches: readonly Stretch[]) => stretches.findIndex(s => s.endMin > s.startMin)
