import type { Saving } from '../../core/codes/result'
import type { Workshop } from '../../core/shop/workshop'

/**
 * Changes some of the workshop's settings. What is a part of something larger is given as a change of what is stored, so that two
 * fields that follow each other closely do not take each other back.
 */
export type EditShop = (change: Partial<Workshop> | ((shop: Workshop) => Partial<Workshop>)) => Promise<Saving>
