import type { Saving } from '../../core/codes/result'
import { withSaid } from '../../core/shop/said'
import type { Workshop } from '../../core/shop/workshop'
import type { SetupStep } from '../../data/setup'
import { saveShop } from '../../store/records'

/**
 * Changes some of the workshop's settings. What is a part of something larger is given as a change of what is stored, so that two
 * fields that follow each other closely do not take each other back.
 */
export type EditShop = (change: Partial<Workshop> | ((shop: Workshop) => Partial<Workshop>)) => Promise<Saving>

/** Changes settings under a name that undo tells; `step` counts as said by the maker from then on. */
export const editShopAs =
  (label: string, step?: SetupStep): EditShop =>
  change =>
    saveShop(shop => {
      const changed = { ...shop, ...(typeof change === 'function' ? change(shop) : change) }
      return step ? withSaid(changed, step) : changed
    }, label)
