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

/** A blade's progress once one more thing was confirmed of it. */
function after(before: BladeProgress | undefined, kind: BladeProgress['kind'], atMs: number): BladeProgress {
  if (kind === 'in-oven') return { kind, atMs, loadedMs: atMs, round: 0 }
  const round = (before?.round ?? 0) + (kind === 'in-temper' ? 1 : 0)
  return { kind, atMs, loadedMs: before?.loadedMs ?? atMs, round }
}

/** Where each blade of a batch stands after its runs in the shop, oldest first; those that are gone are left out. */
export function bladeProgress(runs: readonly Run[]): Map<string, BladeProgress> {
  const found = new Map<string, BladeProgress>()
  for (const run of runs) {
    const { confirmed, gone } = runStateAt(run, 0)
    for (const { step, atS } of confirmed) {
      const kind = KINDS[step.kind]
      if (!kind) continue
      const atMs = realMsAt(run.clock, atS)
      for (const id of step.bladeIds) found.set(id, after(found.get(id), kind, atMs))
    }
    for (const id of gone.keys()) found.delete(id)
    // A run that was called off has nothing in its oven any more.
    if (run.endedAt !== null) for (const [id, { kind }] of found) if (kind === 'in-oven') found.delete(id)
  }
  return found
}
