import { addMinutes } from 'date-fns/addMinutes'
import type { Batch } from '../../core/shop/batch'
import { editBatch } from '../../store/batches'
import type { Day, DayPlan } from './use-day'

export type WhenOfBatch = NonNullable<Batch['day']>

export const WHEN_IT_FITS: WhenOfBatch = { from: null, exactly: false, doneBy: null, later: false }

/** Says when a batch is to be hardened. */
export const setWhen = (batch: Batch, when: WhenOfBatch) =>
  editBatch(batch, `When ${batch.name} is hardened`, now => ({ ...now, day: when }))

/** Loads a batch at a minute of the day, not before now: from then on its start stands. */
export const startBatchAt = (batch: Batch, { origin, nowMin }: Pick<Day, 'origin' | 'nowMin'>, atMin: number) =>
  setWhen(batch, {
    ...(batch.day ?? WHEN_IT_FITS),
    from: addMinutes(origin, Math.max(nowMin, atMin)).toISOString(),
    exactly: true,
    later: false,
  })

/** Moves a batch’s start by some minutes from where the plan has it: from then on it stands. */
export async function moveBatch(
  batches: readonly Batch[],
  { tasks }: Pick<DayPlan, 'tasks'>,
  { origin, nowMin, answer }: Pick<Day, 'origin' | 'nowMin' | 'answer'>,
  batchId: string,
  byMin: number,
) {
  const batch = batches.find(one => one.id === batchId)
  const groups = new Set(answer?.groups.filter(group => group.batchId === batchId).map(group => group.id))
  const load = tasks.find(task => task.kind === 'load' && task.groups.some(id => groups.has(id)))
  if (!batch || !load) return
  const earliest = addMinutes(origin, nowMin)
  await editBatch(batch, `When ${batch.name} is hardened`, now => {
    // A second press comes before the plan of the first: it goes on from where the first put it.
    const stands = now.day?.exactly && now.day.from ? new Date(now.day.from) : addMinutes(origin, load.startMin)
    const from = new Date(Math.max(earliest.getTime(), addMinutes(stands, byMin).getTime())).toISOString()
    return { ...now, day: { ...(now.day ?? WHEN_IT_FITS), from, exactly: true } }
  })
}
