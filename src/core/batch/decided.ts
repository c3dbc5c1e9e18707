import type { BatchGroup } from '../shop/batch'
import type { Stage } from '../shop/route'

/** Returns whether the last decision about a group kept what was measured at a stage as it is. */
export function isAccepted({ decisions }: Pick<BatchGroup, 'decisions'>, stage: Stage): boolean {
  const last = decisions.at(-1)
  return last?.by === 'option' && last.kind === 'accept' && last.from.stage === stage
}

/** A steel of a batch with where it was measured last; null where it was not. */
interface Measured {
  readonly group: Pick<BatchGroup, 'decisions'>
  readonly latest: { readonly stage: Stage } | null
}

/** Returns the steels of a batch that were measured and have no decision since, in the order of the batch. */
export const undecided = <T extends Measured>(groups: readonly T[]): T[] =>
  groups.filter(({ group, latest }) => {
    const last = group.decisions.at(-1)
    // A decision told in words, as earlier versions kept it, names no stage.
    return latest !== null && last?.by !== 'words' && last?.from.stage !== latest.stage
  })
