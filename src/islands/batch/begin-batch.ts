import type { Problem } from '../../core/codes/problem'
import { newBatch } from '../../core/job/new-batch'
import type { BatchGroup } from '../../core/shop/batch'
import type { Workshop } from '../../core/shop/workshop'
import type { Grade } from '../../data/grades'
import { addBatch } from '../../store/batches'
import { suggestedRoute } from '../suggested-route'
import { newId } from './edit'

interface Begun {
  readonly name: string
  /** What its first steel has beside what is suggested for it. */
  readonly group?: Partial<Pick<BatchGroup, 'route' | 'target' | 'recipeId'>>
  /** The bench it is opened at. */
  readonly at?: 'choose' | 'prepare'
}

/** Begins a batch of one steel and goes there; what is wrong where it was not begun. */
export async function beginBatch(
  grade: Grade,
  shop: Workshop,
  { name, group = {}, at = 'choose' }: Begun,
): Promise<readonly Problem[] | null> {
  const { route: own, ...rest } = group
  const route = own ? { ok: true as const, value: own } : await suggestedRoute(grade, shop)
  if (!route.ok) return route.problems
  const batch = newBatch({ batch: newId(), group: newId() }, name, grade, route.value, shop, new Date().toISOString())
  const { saved, problems } = await addBatch({ ...batch, groups: batch.groups.map(first => ({ ...first, ...rest })) })
  if (!saved) return problems
  location.href = `/batch/${batch.id}/${at}`
  return null
}
