import type { Workshop } from '../core/shop/workshop'
import { changedBy, NOT_PUT_DOWN, type PutDown, putDown } from './put-down'
import { shownShop } from './shown-shop'

/** The settings as the changes of this page leave them, and how many of those are still being written: what is shown comes a moment later. */
let ahead: Workshop | null = null
let writes = 0
shownShop.subscribe(() => {
  if (writes === 0) ahead = null
})

/**
 * Puts a change of the settings down from where the changes before it leave them: begun from what is shown a moment too late it would
 * clash with them, and the next page would not finish it.
 */
export function restShop(change: (shop: Workshop) => Workshop): PutDown {
  const before = ahead ?? shownShop.get()
  const after = before && changedBy(change, before)
  if (!after) return NOT_PUT_DOWN
  ahead = after
  writes++
  const { intent, end } = putDown({ of: 'shop', before, after })
  return {
    intent,
    end: saved => {
      writes--
      if (!saved) ahead = null
      end(saved)
    },
  }
}
