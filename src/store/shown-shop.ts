import type { Workshop } from '../core/shop/workshop'
import { createSubscribable } from '../core/subscribable'

/** The settings as this page shows them; null before it does. */
export const shownShop = createSubscribable<Workshop | null>(null)
