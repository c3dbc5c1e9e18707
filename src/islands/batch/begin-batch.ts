import type { Problem } from '../../core/codes/problem'
import { newBatch, type OwnPlan } from '../../core/job/new-batch'
import type { Workshop } from '../../core/shop/workshop'
import type { Grade } from '../../data/grades'
import { addBatch } from '../../store/batches'
import { newId } from './edit'

interface Begun {
  readonly name: string
  /** What its first steel has beside what is suggested for it. */
  readonly group?: OwnPlan
  /** The bench it is opened at. */
  readonly at?: 'choose' | 'prepare'
}

/** Begins a batch of one steel and goes there; what is wrong where it was not begun. */
export async function beginBatch(
  grade: Grade,
  shop: Workshop,
  { name, group = {}, at = 'choose' }: Begun,
): Promise<readonly Problem[] | null> {
  const batch = newBatch({ batch: newId(), group: newId() }, name, grade, shop, new Date().toISOString(), group)
  const { saved, problems } = await addBatch(batch)
  if (!saved) return problems
  location.href = `/batch/${batch.id}/${at}`
  return null
}
