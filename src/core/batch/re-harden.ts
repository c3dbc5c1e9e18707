import type { AnnealCycle } from '../../data/grades/grade'
import { isOutOf, type TargetHrc } from '../rockwell/target'
import type { Batch, BatchGroup } from '../shop/batch'
import type { BladeStateEvent } from '../shop/blade'
import type { PlannedRoute } from '../shop/route'
import { withState } from './blade-state'
import { bladesOf, timesHardened } from './tray'
import { newBladeRecord } from './tray-edit'

/** Hardened this often a blade is not sent back again: each heat costs skin and grain. Common practice, no published source. */
export const MOST_HARDENED = 2

/** Hours the oven is taken by an anneal: the hold and the slow fall, without the climb. */
export const annealHours = ({ atC, holdMin, coolCPerH, downToC }: AnnealCycle): number =>
  holdMin / 60 + (atC - downToC) / coolCPerH

/** A batch with some of its blades marked as sent back. */
export const markedSentBack = (
  batch: Batch,
  bladeIds: readonly string[],
  { why, nowIso }: { readonly why: string; readonly nowIso: string },
): Batch => {
  const state: BladeStateEvent = { is: 'sent-back', at: nowIso, why }
  return bladeIds.reduce((all, id) => withState(all, id, state), batch)
}

export interface SentBack {
  /** The batch they leave, its blades marked as sent back. */
  readonly from: Batch
  /** The batch that hardens them again, with a route that is left to be suggested, or the one that was advised. */
  readonly to: Batch
}

/**
 * Blades of one steel sent back: annealed and hardened again in a batch of their own, which knows what each was before. `why` goes
 * with their state.
 */
export function sentBack(
  batch: Batch,
  group: BatchGroup,
  bladeIds: readonly string[],
  {
    route,
    why,
    newId,
    name,
    nowIso,
  }: {
    readonly route: PlannedRoute
    readonly why: string
    readonly newId: () => string
    readonly name: string
    readonly nowIso: string
  },
): SentBack {
  const blades = bladesOf(batch, group.id).filter(blade => bladeIds.includes(blade.id))
  const id = newId()
  const groupId = newId()
  const {
    foilLayout: _,
    foilCutAt: __,
    foilCutM: ______,
    unplaced: ___,
    stressRelief: ____,
    heatsBefore: _______,
    ...rest
  } = batch
  const { trialOf: _____, ...ofNoTrial } = group
  // Each keeps its mark: it is scribed on it.
  const lines = blades.map(blade => ({ blade, line: { ...blade.line, id: newId(), groupId, mark: blade.mark } }))
  const to: Batch = {
    ...rest,
    id,
    rev: 0,
    name,
    createdAt: nowIso,
    updatedAt: nowIso,
    deletedAt: null,
    groups: [{ ...ofNoTrial, id: groupId, route, fixed: [], recipeId: null, symptom: null, decisions: [] }],
    lines: lines.map(({ line }) => line),
    blades: lines.map(({ blade, line }) => ({
      ...newBladeRecord(newId(), id, line.id, 1),
      before: { batchId: batch.id, bladeId: blade.id, hardened: timesHardened(blade) },
    })),
    countedOut: null,
    note: why,
  }
  return {
    from: markedSentBack(
      batch,
      blades.map(blade => blade.id),
      { why, nowIso },
    ),
    to,
  }
}

/**
 * Blades of some that need to be hardened again by their own readings: those that miss the target. What was not read is among them
 * where every blade that was read needs it. With no reading of single blades it is all of them.
 */
export function needingIt(
  bladeIds: readonly string[],
  needs: readonly { readonly bladeId: string; readonly measured: number }[],
  target: TargetHrc,
): string[] {
  const read = new Map(needs.map(({ bladeId, measured }) => [bladeId, measured]))
  const misses = (id: string) => isOutOf(target, read.get(id) ?? Number.NaN)
  const own = bladeIds.filter(id => read.has(id))
  if (own.every(misses)) return [...bladeIds]
  return own.filter(misses)
}
