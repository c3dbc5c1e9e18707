import type { Problem } from '../../core/codes/problem'
import { batchLike, newBatch, type OwnPlan } from '../../core/job/new-batch'
import { layBlades } from '../../core/job/tray-edit'
import type { Batch } from '../../core/shop/batch'
import { LONGEST } from '../../core/shop/bounds'
import type { Workshop } from '../../core/shop/workshop'
import type { Grade } from '../../data/grades'
import { addBatch } from '../../store/batches'
import { askToKeep } from '../../store/keeping'
import { newId } from './edit'

interface Begun {
  readonly name: string
  /** What its first steel has beside what is suggested for it. */
  readonly group?: OwnPlan
  /** Its first blades. */
  readonly blades?: { readonly count: number; readonly thicknessMm: number }
  /** The bench it is opened at. */
  readonly at?: 'choose' | 'prepare'
}

/** Begins a batch of one steel and goes there; what is wrong where it was not begun. */
export async function beginBatch(
  grade: Grade,
  shop: Workshop,
  { name, group = {}, blades, at = 'choose' }: Begun,
): Promise<readonly Problem[] | null> {
  const now = new Date().toISOString()
  const groupId = newId()
  const own = blades ? { ...group, thicknessMm: blades.thicknessMm } : group
  const begun = newBatch({ batch: newId(), group: groupId }, name, grade, shop, now, own)
  const batch = blades ? layBlades(begun, groupId, blades, newId, now) : begun
  const { saved, problems } = await addBatch(batch)
  if (!saved) return problems
  // With the first batch of one's own there is something to lose: the browser is asked to keep it.
  if (!shop.isDemo) void askToKeep()
  location.href = `/batch/${batch.id}/${at}`
  return null
}

/** Begins a batch planned as another was, and goes to its blades; what is wrong where it was not begun. */
export async function beginLike(other: Batch): Promise<readonly Problem[] | null> {
  const name = `${other.name}, again`.slice(0, LONGEST.batchName)
  const batch = batchLike(other, newId, name, new Date().toISOString())
  const { saved, problems } = await addBatch(batch)
  if (!saved) return problems
  location.href = `/batch/${batch.id}/prepare`
  return null
}
