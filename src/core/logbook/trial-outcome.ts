import { stagesOf } from '../batch/hardness-stages'
import { type BatchBlade, routeOfBlade } from '../batch/tray'
import { halvesOf, type Trial } from '../batch/trial'
import { bladeHardness } from '../hardness/hardness'
import { type MeanDifference, meanDifference, rateDifference } from '../numeric/two-means'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'

/** One half of a trial as it came out. */
export interface TrialHalf {
  readonly marks: readonly string[]
  /** Finished hardness of each blade that was read. */
  readonly hardness: readonly { readonly mark: string; readonly hrc: number }[]
  /** Edges that held, of those that were proved. */
  readonly edges: { readonly count: number; readonly of: number }
}

export interface TrialOutcome {
  readonly control: TrialHalf
  readonly changed: TrialHalf
  /** Effect of the change, HRC; null while there are too few readings. */
  readonly hardness: MeanDifference | null
  /** Difference in the share of edges that hold; null while one half was not proved. */
  readonly edges: Omit<MeanDifference, 'p'> | null
}

/** Returns the outcome of a trial so far. */
export function trialOutcome(
  batch: Batch,
  trial: Trial,
  evidence: { readonly readings: readonly Reading[]; readonly tester: Tester },
): TrialOutcome {
  const half = (blades: readonly BatchBlade[]): TrialHalf => {
    const tests = blades.flatMap(blade => blade.record.edgeTests ?? []).filter(test => test.kind !== 'salt-water')
    return {
      marks: blades.map(blade => blade.mark),
      hardness: blades.flatMap(blade => {
        const stage = stagesOf(routeOfBlade(blade)).at(-1)
        const found = stage && bladeHardness(blade, stage, evidence)
        return found ? [{ mark: blade.mark, hrc: found.hrc }] : []
      }),
      edges: { count: tests.filter(test => test.result === 'holds').length, of: tests.length },
    }
  }
  const halves = halvesOf(batch, trial)
  const [control, changed] = [half(halves.control), half(halves.changed)]
  const values = ({ hardness }: TrialHalf) => hardness.map(one => one.hrc)
  return {
    control,
    changed,
    hardness: meanDifference(values(control), values(changed)),
    edges: control.edges.of > 0 && changed.edges.of > 0 ? rateDifference(control.edges, changed.edges) : null,
  }
}
