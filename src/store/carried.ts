import type { Saving } from '../core/codes/result'
import type { Carried } from '../core/files/code'
import { emptyData } from '../core/files/pieces'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { addAll } from './backup'
import { db } from './database'
import { putRecipe } from './records'

/** Result of taking a code: added to the log, already there, or refused. */
export type Taken = { readonly taken: 'added' | 'known'; readonly href: string } | { readonly taken: 'refused' }

/** Takes what a code carried into the log; nothing that is there already is changed. */
export async function takeCarried(carried: Carried): Promise<Taken> {
  if (carried.kind === 'recipe') {
    const { recipe } = carried
    const href = `/recipe/${recipe.id}`
    if (await db.recipes.get(recipe.id)) return { taken: 'known', href }
    const { saved }: Saving = await putRecipe(recipe)
    return saved ? { taken: 'added', href } : { taken: 'refused' }
  }
  const { batch, blade, readings } = carried
  const href = `/blade/${blade.id}`
  if (await db.blades.get(blade.id)) return { taken: 'known', href }
  const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  const data = { ...emptyData(shop), batches: [batch], blades: [blade], readings }
  return (await addAll(data)) ? { taken: 'added', href } : { taken: 'refused' }
}
