import { layBlades } from '../../core/batch/tray-edit'
import type { Problem } from '../../core/codes/problem'
import type { OwnPlan } from '../../core/new-batch/new-batch'
import type { Batch } from '../../core/shop/batch'
import { LONGEST } from '../../core/shop/bounds'
import type { Workshop } from '../../core/shop/workshop'
import type { Grade } from '../../data/grades'
import { askToKeep } from '../../store/keeping'
import { type Writers, writing } from '../../store/writing'
import { newId } from './edit'

interface Begun {
  readonly name: string
  /** Parts of its first steel that differ from the suggestion. */
  readonly group?: OwnPlan
  /** Its first blades. */
  readonly blades?: { readonly count: number; readonly thicknessMm: number }
  /** The bench it is opened at. */
  readonly at?: 'choose' | 'prepare'
}

/** Begins a batch of one steel and goes there; what is wrong where it was not begun. */
export function beginBatch(
  grade: Grade,
  shop: Workshop,
  { name, group = {}, blades, at = 'choose' }: Begun,
): Promise<readonly Problem[] | null> {
  const now = new Date().toISOString()
  const groupId = newId()
  const own = blades ? { ...group, thicknessMm: blades.thicknessMm } : group
  const plan = ({ newBatch }: Writers): Batch => {
    const begun = newBatch({ batch: newId(), group: groupId }, name, grade, shop, now, own)
    return blades ? layBlades(begun, groupId, blades, newId, now) : begun
  }
  // With the first batch of one's own there is something to lose: the browser is asked to keep it.
  return begin(plan, at, () => void (shop.isDemo || askToKeep()))
}

/** Begins a batch planned as another was, and goes to its blades; what is wrong where it was not begun. */
export const beginLike = (other: Batch): Promise<readonly Problem[] | null> =>
  begin(
    ({ batchLike }) =>
      batchLike(other, newId, `${other.name}, again`.slice(0, LONGEST.batchName), new Date().toISOString()),
    'prepare',
  )

async function begin(
  plan: (writers: Writers) => Batch,
  at: 'choose' | 'prepare',
  begun = () => {},
): Promise<readonly Problem[] | null> {
  let id = ''
  const { saved, problems } = await writing(writers => {
    const batch = plan(writers)
    id = batch.id
    return writers.addBatch(batch)
  })
  if (!saved) return problems
  begun()
  location.href = `/batch/${id}/${at}`
  return null
}
