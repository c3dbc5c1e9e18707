import { mean } from 'simple-statistics'
import { EDGE_RESULTS, type EdgeResult } from '../../data/edge-tests'
import { stagesOf } from '../batch/hardness-stages'
import { bladesOf } from '../batch/tray'
import { lossOf } from '../cost/quote'
import { groupHardness } from '../hardness/hardness'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { PlannedRoute, Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'

/** A steel of a batch as it is laid beside another. */
export interface Side {
  readonly groupId: string
  readonly name: string
  readonly lot: string | null
  readonly ovenName: string
  readonly begun: string
  readonly route: PlannedRoute
  /** Measured soaks of its blades, min: least and most; null if none was run. */
  readonly soakedMin: { readonly from: number; readonly to: number } | null
  readonly hardness: readonly { readonly stage: Stage; readonly hrc: number; readonly u95: number }[]
  readonly blades: number
  readonly lost: number
  readonly edges: Readonly<Record<EdgeResult, number>>
  readonly edgeDeg: number | null
}

/** Returns the two sides of a comparison for the steels of a batch. */
export function sidesOf(
  batch: Batch,
  evidence: { readonly readings: readonly Reading[]; readonly tester: Tester },
): Side[] {
  return batch.groups.map((group): Side => {
    const blades = bladesOf(batch, group.id)
    const soaks = blades.flatMap(blade => blade.record.soakedMin ?? [])
    const tests = blades.flatMap(blade => blade.record.edgeTests ?? [])
    const count = (result: EdgeResult) => tests.filter(test => test.result === result).length
    return {
      groupId: group.id,
      name: group.gradeName,
      lot: group.lot ?? null,
      ovenName: batch.ovenName,
      begun: batch.createdAt,
      route: group.route,
      soakedMin: soaks.length > 0 ? { from: Math.min(...soaks), to: Math.max(...soaks) } : null,
      hardness: stagesOf(group.route).flatMap(stage => {
        const found = groupHardness(batch, group.id, stage, evidence)
        return found ? [{ stage, hrc: found.hrc, u95: found.u95 }] : []
      }),
      blades: blades.length,
      lost: lossOf(blades).lost,
      edges: Object.fromEntries(EDGE_RESULTS.map(result => [result, count(result)])) as Record<EdgeResult, number>,
      edgeDeg: tests.length > 0 ? mean(tests.map(test => test.edgeDeg)) : null,
    }
  })
}
