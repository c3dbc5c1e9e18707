import { EDGE_RESULTS, type EdgeResult, type EdgeTestKind } from '../../data/edge-tests'
import { latestStage } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, routeOfBlade } from '../batch/tray'
import { bladeHardness } from '../hardness/hardness'
import { sdOfHalfWidth95 } from '../numeric/coverage'
import { compareInstants } from '../numeric/instants'
import type { Batch } from '../shop/batch'
import type { EdgeTest } from '../shop/blade'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'

/** One test of an edge: the blade's hardness with its standard uncertainty, HRC, the angle a side, and what the edge did. */
export interface EdgeEvidence {
  readonly hrc: number
  readonly sdHrc: number
  readonly edgeDeg: number
  readonly result: EdgeResult
}

/** A test with the blade it was of and the hardness that was read on it; null where nothing was. */
export interface ProvedEdge {
  readonly batchId: string
  readonly batchName: string
  readonly blade: BatchBlade
  readonly test: EdgeTest
  readonly hardness: { readonly hrc: number; readonly sdHrc: number } | null
}

/** A control's hardness is known, not read that day: it is taken to be within this, HRC. */
const CONTROL_SD_HRC = 0.4
/** Two standard uncertainties in the interval of 95 %. */

/** Every edge test of a steel's blades, oldest first. */
export function provedEdges(
  batches: readonly Batch[],
  gradeId: string,
  evidence: { readonly readings: readonly Reading[]; readonly tester: Tester },
): ProvedEdge[] {
  return batches
    .filter(batch => batch.deletedAt === null)
    .flatMap(batch =>
      bladesOf(batch)
        .filter(blade => blade.group.gradeId === gradeId && (blade.record.edgeTests?.length ?? 0) > 0)
        .flatMap(blade => {
          const hardness = finalHardness(blade, evidence)
          return (blade.record.edgeTests ?? []).map(test => ({
            batchId: batch.id,
            batchName: batch.name,
            blade,
            test,
            hardness,
          }))
        }),
    )
    .sort((a, b) => compareInstants(a.test.at, b.test.at))
}

function finalHardness(blade: BatchBlade, { readings, tester }: Parameters<typeof provedEdges>[2]) {
  const route = routeOfBlade(blade)
  const own = readings.filter(reading => reading.bladeId === blade.id && reading.deletedAt === null)
  const stage = latestStage(route, [...own, ...(blade.record.files ?? [])])
  const found = stage && bladeHardness(blade, stage, { readings, tester })
  return found ? { hrc: found.hrc, sdHrc: sdOfHalfWidth95(found.u95) } : null
}

const isEdgeResult = (result: EdgeTest['result']): result is EdgeResult =>
  (EDGE_RESULTS as readonly string[]).includes(result)

/** Returns the evidence of tests of one kind, or of all edge tests, on hardness and angle; controls count as much as blades. */
export function evidenceOf(proved: readonly ProvedEdge[], kind: EdgeTestKind | null): EdgeEvidence[] {
  return proved
    .filter(({ test }) => kind === null || test.kind === kind)
    .flatMap(({ test, hardness }): EdgeEvidence[] => {
      const { edgeDeg, result, control } = test
      return [
        ...(hardness && isEdgeResult(result) ? [{ ...hardness, edgeDeg, result }] : []),
        ...(control ? [{ hrc: control.hrc, sdHrc: CONTROL_SD_HRC, edgeDeg, result: control.result }] : []),
      ]
    })
}
