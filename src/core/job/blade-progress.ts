import { realMsAt } from '../run/clock'
import { runStateAt } from '../run/run-state'
import type { Run } from '../shop/run'

/** How far a blade is by what was confirmed of it, and when that was. */
export interface BladeProgress {
  readonly kind: 'in-oven' | 'quenched' | 'in-cold' | 'thawed' | 'in-temper' | 'tempered'
  readonly atMs: number
  /** When it was last loaded for hardening. */
  readonly loadedMs: number
  /** Tempers it has gone into. */
  readonly round: number
}

const KINDS: Readonly<Partial<Record<Run['steps'][number]['kind'], BladeProgress['kind']>>> = {
  load: 'in-oven',
  pull: 'quenched',
  'cold-in': 'in-cold',
  'cold-out': 'thawed',
  'temper-in': 'in-temper',
  'temper-out': 'tempered',
}

/** Where each blade of a batch stands after its runs in the shop, oldest first; those that are gone are left out. */
export function bladeProgress(runs: readonly Run[]): Map<string, BladeProgress> {
  const found = new Map<string, BladeProgress>()
  for (const run of runs) {
    const { confirmed, gone } = runStateAt(run, 0)
    for (const { step, atS } of confirmed) {
      const kind = KINDS[step.kind]
      if (!kind) continue
      for (const id of step.bladeIds) {
        const round = kind === 'in-oven' ? 0 : (found.get(id)?.round ?? 0) + (kind === 'in-temper' ? 1 : 0)
        const atMs = realMsAt(run.clock, atS)
        const loadedMs = kind === 'in-oven' ? atMs : (found.get(id)?.loadedMs ?? atMs)
        found.set(id, { kind, atMs, loadedMs, round })
      }
    }
    for (const id of gone.keys()) found.delete(id)
    // A run that was called off has nothing in its oven any more.
    if (run.endedAt !== null) for (const [id, { kind }] of found) if (kind === 'in-oven') found.delete(id)
  }
  return found
}
