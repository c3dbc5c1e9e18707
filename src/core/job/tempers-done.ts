import type { Batch } from '../shop/batch'
import type { Run } from '../shop/run'
import { type TemperLoad, temperLoadsOf } from './loads'
import { runStateAt } from './run-state'

/** Tempers each blade has had, by its id, through a batch's runs, oldest first. A new hardening begins at none. */
export function tempersDone(runs: readonly Pick<Run, 'steps' | 'events'>[]): Map<string, number> {
  const done = new Map<string, number>()
  for (const run of runs)
    for (const { step } of runStateAt(run, 0, null).confirmed)
      for (const id of step.bladeIds) {
        if (step.kind === 'load') done.set(id, 0)
        if (step.kind === 'temper-out') done.set(id, (done.get(id) ?? 0) + 1)
      }
  return done
}

/** Temper loads still to do after what was run; none before a first run has hardened the blades. */
export function tempersWaiting(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>, runs: readonly Run[]): TemperLoad[] {
  const done = tempersDone(runs)
  return done.size === 0 ? [] : temperLoadsOf(batch, done)
}
