import { STATIONS, type StationName } from '../../data/stations'
import { runStateAt } from '../run/run-state'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Stage } from '../shop/route'
import type { Run } from '../shop/run'
import { isFinished, standing } from './blade-state'
import { stagesOf } from './hardness-stages'
import { bladesOf } from './tray'

export type StationState = 'done' | 'to-do'

interface StatesRequest {
  readonly batch: Batch
  readonly group: BatchGroup
  /** Runs in the shop: practice does nothing to a blade. */
  readonly runs: readonly Run[]
  /** Stages at which the group has readings. */
  readonly measured: ReadonlySet<Stage>
}

/**
 * Returns which stations of one steel of a batch are done, from entries and from what a run confirmed. A later step shows
 * that an earlier one happened: what was measured was quenched, and what was quenched was wrapped or went bare.
 */
export function stationStates({
  batch,
  group,
  runs,
  measured,
}: StatesRequest): Readonly<Record<StationName, StationState>> {
  const blades = standing(bladesOf(batch, group.id))
  const ids = new Set(blades.map(blade => blade.id))
  const confirmed = runs
    .filter(run => run.mode !== 'practice')
    .flatMap(run => runStateAt(run, 0).confirmed.map(({ step }) => step))
  const ran = (kind: string) => confirmed.some(step => step.kind === kind && step.bladeIds.some(id => ids.has(id)))
  const tempersRun = confirmed.filter(
    step => step.kind === 'temper-out' && step.bladeIds.some(id => ids.has(id)),
  ).length
  const any = measured.size > 0
  const finished = measured.has(stagesOf(group.route).at(-1) as Stage)
  const decided = group.decisions.length > 0
  const done: Record<StationName, boolean> = {
    choose: true,
    prepare: blades.length > 0,
    wrap: blades.length > 0 && (ran('load') || any || blades.every(blade => blade.record.packet?.sealed === true)),
    heat: ran('pull') || any,
    plates: ran('unclamp') || any,
    inspect: batch.countedOut !== null || ran('inspect'),
    cold: group.route.cold === null || ran('cold-out') || finished,
    temper: (group.route.tempers.length > 0 && tempersRun >= group.route.tempers.length) || finished,
    measure: finished,
    verdict: decided,
    finish: blades.length > 0 && blades.every(blade => isFinished(blade.record)),
    prove: group.symptom !== null,
  }
  return Object.fromEntries(STATIONS.map(name => [name, done[name] ? 'done' : 'to-do'])) as Record<
    StationName,
    StationState
  >
}
