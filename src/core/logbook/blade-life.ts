import type { Incident } from '../../data/incidents'
import { happenedTo } from '../batch/blade-incidents'
import { stagesOf } from '../batch/hardness-stages'
import { type BatchBlade, routeOfBlade } from '../batch/tray'
import type { Hardness } from '../hardness/hardness'
import { readingsOf } from '../hardness/readings-of'
import { compareInstants } from '../numeric/instants'
import type { Batch, Decision } from '../shop/batch'
import type { BladeStateEvent, EdgeTest } from '../shop/blade'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Run, RunStep } from '../shop/run'

/** Something that happened to a blade, at an instant. */
export type LifeEvent = { readonly at: string } & (
  | { readonly kind: 'begun' }
  | { readonly kind: 'step'; readonly step: RunStep; readonly corrected: boolean }
  | { readonly kind: 'incident'; readonly incident: Incident; readonly seconds: number }
  | { readonly kind: 'measured'; readonly stage: Stage; readonly hrc: number; readonly readings: readonly number[] }
  | { readonly kind: 'decided'; readonly decision: Decision }
  | { readonly kind: 'tested'; readonly test: EdgeTest }
  | { readonly kind: 'came-to'; readonly state: BladeStateEvent }
)

interface LifeSources {
  readonly batch: Pick<Batch, 'createdAt'>
  readonly runs: readonly Run[]
  readonly readings: readonly Reading[]
  /** How hard it is at the stages it was measured at. */
  readonly measured: readonly Hardness[]
}

/** A blade's life as far as it was noted, oldest first: the run as it happened, readings, decisions, edge tests, states. */
export function bladeLife(blade: BatchBlade, { batch, runs, readings, measured }: LifeSources): LifeEvent[] {
  const { steps, incidents } = happenedTo(blade.id, runs)
  const events: LifeEvent[] = [
    { kind: 'begun', at: batch.createdAt },
    ...steps.map(one => ({ kind: 'step' as const, ...one })),
    ...incidents.map(one => ({ kind: 'incident' as const, ...one })),
    ...stagesOf(routeOfBlade(blade)).flatMap((stage): LifeEvent[] => {
      const own = readingsOf([blade], stage, { readings })
      const hardness = measured.find(one => one.stage === stage)
      const last = own
        .map(reading => reading.at)
        .sort()
        .at(-1)
      return hardness && last
        ? [{ kind: 'measured', at: last, stage, hrc: hardness.hrc, readings: own.map(reading => reading.hrc) }]
        : []
    }),
    ...blade.group.decisions.map(decision => ({ kind: 'decided' as const, at: decision.at, decision })),
    ...(blade.record.edgeTests ?? []).map(test => ({ kind: 'tested' as const, at: test.at, test })),
    ...(blade.record.states ?? []).map(state => ({ kind: 'came-to' as const, at: state.at, state })),
  ]
  return events.sort((a, b) => compareInstants(a.at, b.at))
}
