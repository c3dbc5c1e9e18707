import { runStateAt } from '../run/run-state'
import type { Batch } from '../shop/batch'
import { MOST } from '../shop/bounds'
import type { Run } from '../shop/run'
import { type TemperLoad, temperLoadsOf } from './loads'

/**
 * Tempers each blade has had, by its id, through a batch's runs in the shop, oldest first. A new hardening begins at none; one that
 * was cracked, lost or set aside in a run wants no more.
 */
export function tempersDone(runs: readonly Pick<Run, 'steps' | 'events' | 'mode'>[]): Map<string, number> {
  const done = new Map<string, number>()
  for (const run of runs.filter(one => one.mode === 'shop')) {
    const { confirmed, gone } = runStateAt(run, 0)
    for (const { step } of confirmed)
      for (const id of step.bladeIds) {
        if (step.kind === 'load') done.set(id, 0)
        if (step.kind === 'temper-out') done.set(id, (done.get(id) ?? 0) + 1)
      }
    for (const id of gone.keys()) done.set(id, MOST.tempers)
  }
  return done
}

/** Temper loads still to do after what was run; none before a first run has hardened the blades. */
export function tempersWaiting(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>, runs: readonly Run[]): TemperLoad[] {
  const done = tempersDone(runs)
  return done.size === 0 ? [] : temperLoadsOf(batch, done)
}
