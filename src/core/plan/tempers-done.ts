import type { Batch, Run } from '../record/schemas'
import { runStateAt } from './run-state'
import { type TemperLoad, temperLoadsOf } from './tray'

/** Tempers each blade has had, by its mark, through a batch's runs, oldest first. A new hardening begins at none. */
export function tempersDone(runs: readonly Pick<Run, 'steps' | 'events'>[]): Map<string, number> {
  const done = new Map<string, number>()
  for (const run of runs)
    for (const { step } of runStateAt(run, 0, null).confirmed)
      for (const mark of step.pieces) {
        if (step.kind === 'load') done.set(mark, 0)
        if (step.kind === 'temper-out') done.set(mark, (done.get(mark) ?? 0) + 1)
      }
  return done
}

/** Temper loads still to do after what was run; none before a first run has hardened the blades. */
export function tempersWaiting(
  batch: Pick<Batch, 'blades' | 'groups' | 'pieceTempers'>,
  runs: readonly Run[],
): TemperLoad[] {
  const done = tempersDone(runs)
  return done.size === 0 ? [] : temperLoadsOf(batch, done)
}
