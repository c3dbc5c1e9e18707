import { eventsOf, liveEvents } from '../run/live-events'
import { runStateAt } from '../run/run-state'
import type { Run } from '../shop/run'
import { OVEN_PHASES } from './oven-time'
import type { Phase, Stretch } from './timeline'

/** A moment of a run against the plan: the same event in both. */
interface Anchor {
  readonly atS: number
  readonly planMin: number
}

export interface TracePoint {
  /** Stretch of the plan it falls into, and the plan's minute there. */
  readonly index: number
  readonly planMin: number
  readonly c: number
}

const starts = (stretches: readonly Stretch[], phase: Phase) =>
  stretches.filter(s => s.phase === phase).map(s => s.startMin)

type StepKind = Run['steps'][number]['kind']

const PHASE_AT: Readonly<Partial<Record<StepKind, Phase>>> = {
  'full-heat': 'soak',
  pull: 'quench',
  'cold-in': 'chill',
  'cold-out': 'warm',
  'temper-in': 'temper-ramp',
  'temper-out': 'cool',
}

/** The plan's minute of a step, with so many tempers behind; undefined where the plan has no such step. */
function plannedMin(kind: StepKind, stretches: readonly Stretch[], tempers: number): number | undefined {
  if (kind === 'oven-on' || kind === 'oven-on-loaded') return 0
  if (kind === 'load') return stretches.find(s => s.note?.code === 'load')?.startMin
  if (kind === 'measure') return stretches.at(-1)?.endMin
  const phase = PHASE_AT[kind]
  const repeats = kind === 'temper-in' || kind === 'temper-out'
  return phase && starts(stretches, phase)[repeats ? tempers : 0]
}

/** Ties what was confirmed to where it stands in the plan of one group's blades. */
function anchorsOf(run: Run, stretches: readonly Stretch[], bladeIds: ReadonlySet<string>): Anchor[] {
  const anchors: Anchor[] = []
  let tempers = 0
  let loaded = false
  for (const { step, atS } of runStateAt(run, 0).confirmed) {
    const { kind } = step
    const moves = step.bladeIds.some(id => bladeIds.has(id))
    if (kind === 'load' && moves) loaded = true
    const counts =
      kind === 'oven-on' || kind === 'oven-on-loaded'
        ? anchors.length === 0
        : kind === 'full-heat'
          ? loaded
          : kind === 'measure' || moves
    const planMin = counts ? plannedMin(kind, stretches, tempers) : undefined
    const last = anchors.at(-1)
    if (planMin !== undefined && (!last || planMin > last.planMin)) anchors.push({ atS, planMin })
    if (kind === 'temper-out' && moves) tempers++
  }
  return anchors
}

/** The plan's minute that a moment of the run stands for; null before the oven is on. Past the last event it runs on at the plan's pace. */
function planMinuteAt(anchors: readonly Anchor[], stretches: readonly Stretch[], atS: number): number | null {
  const first = anchors[0]
  if (!first || atS < first.atS) return null
  const upper = anchors.findIndex(anchor => anchor.atS > atS)
  const b = anchors[upper]
  const a = anchors[upper < 0 ? anchors.length - 1 : upper - 1] as Anchor
  if (b) return a.planMin + ((atS - a.atS) / (b.atS - a.atS)) * (b.planMin - a.planMin)
  // It cannot have passed the end of the stretch that is still going on.
  const stretch = stretches.find(s => s.startMin <= a.planMin && s.endMin > a.planMin)
  return Math.min(stretch?.endMin ?? a.planMin, a.planMin + (atS - a.atS) / 60)
}

/** The stretch a minute of the plan falls into; −1 outside. */
export const indexAt = (stretches: readonly Stretch[], minute: number) =>
  stretches.findIndex(s => minute >= s.startMin && minute < s.endMin)

/** Returns the display readings of a run, [s on the run's clock, °C], in order. */
export const readingsOf = (run: Pick<Run, 'events'>): [number, number][] =>
  eventsOf(liveEvents(run.events), 'shows').map(({ atS, c }): [number, number] => [atS, c])

/**
 * Returns the display readings over the plan of one group's blades, and where the run stands now. Only stretches in an
 * oven are measured; between them there is nothing to draw.
 */
export function measuredTrace(
  run: Run,
  stretches: readonly Stretch[],
  bladeIds: ReadonlySet<string>,
  samples: readonly (readonly [atS: number, c: number])[],
  nowS: number | null,
): { readonly trace: readonly TracePoint[]; readonly now: Omit<TracePoint, 'c'> | null } {
  const anchors = anchorsOf(run, stretches, bladeIds)
  const place = (atS: number, c: number): TracePoint | null => {
    const planMin = planMinuteAt(anchors, stretches, atS)
    const index = planMin === null ? -1 : indexAt(stretches, planMin)
    return planMin === null || index < 0 ? null : { index, planMin, c }
  }
  return {
    trace: samples.flatMap(([atS, c]) => {
      const point = place(atS, c)
      return point && OVEN_PHASES.has(stretches[point.index]?.phase ?? 'room') ? [point] : []
    }),
    now: nowS === null ? null : place(nowS, 0),
  }
}
