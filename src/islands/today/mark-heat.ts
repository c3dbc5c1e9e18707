import { type HeatBeforeKind, isOfHeat, putIntoHeat, takenFromHeat } from '../../core/batch/heat-marks'
import { bladesOf } from '../../core/batch/tray'
import type { PlannedTask } from '../../core/day/day-plan'
import { editBatch } from '../../store/batches'
import { HEATS, heatDoneWords } from '../../words/day'
import type { Day } from './use-day'

/** Which heat before the hardening an act begins or ends. */
const HEAT_ACTS: Readonly<
  Partial<Record<PlannedTask['kind'], { readonly kind: HeatBeforeKind; readonly isIn: boolean }>>
> = {
  'anneal-in': { kind: 'anneal', isIn: true },
  'anneal-out': { kind: 'anneal', isIn: false },
  'relieve-in': { kind: 'relieve', isIn: true },
  'relieve-out': { kind: 'relieve', isIn: false },
}
export const heatActOf = (kind: PlannedTask['kind']) => HEAT_ACTS[kind] ?? null

/** An anneal or a stress relief of the plan was begun or ended, now: by every batch that shares its closing. */
export async function markHeat(
  { answer, batches }: Pick<Day, 'answer' | 'batches'>,
  { kind, groups }: Pick<PlannedTask, 'kind' | 'groups'>,
) {
  const act = heatActOf(kind)
  if (!act) return
  const own = answer?.groups.filter(({ id }) => groups.includes(id)) ?? []
  const nowIso = new Date().toISOString()
  for (const batch of batches.filter(({ id }) => own.some(group => group.batchId === id))) {
    const ids = new Set(own.filter(group => group.batchId === batch.id).flatMap(group => group.bladeIds))
    const mark = act.isIn ? putIntoHeat : takenFromHeat
    await editBatch(batch, `${HEATS[act.kind]}: ${heatDoneWords(act.isIn)}`, now => {
      const blades = bladesOf(now).filter(blade => ids.has(blade.id) && isOfHeat(blade, act.kind))
      return mark(now, { kind: act.kind, bladeIds: blades.map(({ id }) => id) }, nowIso)
    })
  }
}
