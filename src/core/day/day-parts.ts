import { standing } from '../batch/blade-state'
import { type BatchBlade, bladesOf, tempersOf } from '../batch/tray'
import type { Batch } from '../shop/batch'
import type { DayBatch } from './day-batch'
import { temperWithinMin } from './standing-limits'

/** Blades of a batch that are at one place of their way: still to be hardened, in the oven, or past it. */
export interface Part {
  readonly from: DayBatch
  /** The batch with these blades alone. */
  readonly batch: Batch
  readonly blades: readonly BatchBlade[]
  /** Past the oven: nothing of it is hot any more. */
  readonly going: boolean
  /** When they were loaded, where they are in the oven, min. */
  readonly begunMin: number | null
}

/** The parts of a batch, each planned by itself. */
export function partsOf(from: DayBatch): Part[] {
  const blades = standing(bladesOf(from.batch))
  const at = (blade: BatchBlade) => from.progress.get(blade.id)
  const part = (own: readonly BatchBlade[], going: boolean, begunMin: number | null): Part[] => {
    if (own.every(blade => isDone(blade, from))) return []
    const ids = new Set(own.map(blade => blade.id))
    const batch = { ...from.batch, blades: from.batch.blades.filter(blade => ids.has(blade.id)) }
    return [{ from, batch, blades: own, going, begunMin }]
  }
  const past = blades.filter(blade => at(blade) !== undefined)
  // Until the last is out of the oven the whole run is hot: those pulled already wait for the others, the next load is to come.
  const isHot = blades.some(blade => at(blade)?.kind === 'in-oven') || (from.running && past.length < blades.length)
  if (past.length > 0 && isHot) return part(blades, false, Math.min(...past.map(blade => at(blade)?.loadedMin ?? 0)))
  return [
    ...part(
      blades.filter(blade => at(blade) === undefined),
      false,
      null,
    ),
    ...groupsOf(past, from).flatMap(own => part(own, true, null)),
  ]
}

/** Blades with the same cold, tempers and limits, and where they stand. */
export function groupsOf(blades: readonly BatchBlade[], from: DayBatch | null): BatchBlade[][] {
  const sets = new Map<string, BatchBlade[]>()
  for (const blade of blades) {
    const at = from?.progress.get(blade.id)
    const key = JSON.stringify([blade.group.route.cold, tempersOf(blade), temperWithinMin(blade), at?.kind, at?.round])
    sets.set(key, [...(sets.get(key) ?? []), blade])
  }
  return [...sets.values()]
}

/** Each steel apart: a heat before the hardening is of one steel. Those that go on alike are one again after the quench. */
export const bySteel = (groups: readonly (readonly BatchBlade[])[]): BatchBlade[][] =>
  groups.flatMap(blades =>
    [...new Set(blades.map(({ group }) => group.gradeId))].map(id =>
      blades.filter(({ group }) => group.gradeId === id),
    ),
  )

/** All its tempers are behind it. */
const isDone = (blade: BatchBlade, { progress }: DayBatch): boolean => {
  const at = progress.get(blade.id)
  return at?.kind === 'tempered' && at.round >= tempersOf(blade).length
}
