import { mean } from 'simple-statistics'
import { standing } from '../batch/blade-state'
import { stagesOf } from '../batch/hardness-stages'
import { bladesOf, routeOfBlade } from '../batch/tray'
import { bladeHardness } from '../hardness/hardness'
import { type MeanDifference, meanDifference, rateDifference } from '../numeric/two-means'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Recipe } from '../shop/recipe'
import type { Tester } from '../shop/workshop'
import { routeChanges } from '../steel/compare-routes'

interface Count {
  readonly count: number
  readonly of: number
}

/** Outcome of the blades that went the route of one version. */
export interface VersionOutcome {
  readonly number: number
  readonly batches: number
  /** Blades read after their last temper. */
  readonly blades: number
  readonly meanHrc: number | null
  readonly inTarget: Count
  /** Edges that held, of those proved. */
  readonly edges: Count
  /** Against the version before it that blades went by; null where there is none. */
  readonly against: {
    readonly number: number
    /** How much harder, HRC; null while too few were read. */
    readonly hardness: MeanDifference | null
    /** How many more edges hold, as a share; null while one side was not proved. */
    readonly edges: Omit<MeanDifference, 'p'> | null
  } | null
}

/**
 * Returns the outcome of each version of a recipe, oldest first. A blade counts for a version when its steel is the recipe's and its route is that
 * version's to the last temper, whoever planned it.
 */
export function versionOutcomes(
  recipe: Recipe,
  log: { readonly batches: readonly Batch[]; readonly readings: readonly Reading[]; readonly tester: Tester },
): VersionOutcome[] {
  const blades = log.batches
    .filter(batch => batch.deletedAt === null)
    .flatMap(batch =>
      standing(bladesOf(batch)).map(blade => ({ batchId: batch.id, blade, route: routeOfBlade(blade) })),
    )
    .filter(({ blade }) => blade.group.gradeId === recipe.gradeId)
  const found = recipe.versions.map(version => {
    const own = blades.filter(({ route }) => routeChanges(version.route, route).length === 0)
    const read = own.flatMap(({ batchId, blade, route }) => {
      const stage = stagesOf(route).at(-1)
      const hardness = stage && bladeHardness(blade, stage, log)
      return hardness ? [{ batchId, hrc: hardness.hrc }] : []
    })
    const tests = own.flatMap(({ blade }) => blade.record.edgeTests ?? []).filter(test => test.kind !== 'salt-water')
    const { min, max } = recipe.target
    return {
      number: version.number,
      hrcs: read.map(({ hrc }) => hrc),
      batches: new Set(read.map(({ batchId }) => batchId)).size,
      inTarget: { count: read.filter(({ hrc }) => hrc >= min && hrc <= max).length, of: read.length },
      edges: { count: tests.filter(test => test.result === 'holds').length, of: tests.length },
    }
  })
  return found.map(({ number, hrcs, batches, inTarget, edges }, i): VersionOutcome => {
    const before = hrcs.length === 0 ? undefined : found.slice(0, i).findLast(one => one.hrcs.length > 0)
    return {
      number,
      batches,
      blades: hrcs.length,
      meanHrc: hrcs.length > 0 ? mean(hrcs) : null,
      inTarget,
      edges,
      against: before
        ? {
            number: before.number,
            hardness: meanDifference(before.hrcs, hrcs),
            edges: before.edges.of > 0 && edges.of > 0 ? rateDifference(before.edges, edges) : null,
          }
        : null,
    }
  })
}
