import type { Saving } from '../../core/codes/result'
import type { Oven } from '../../core/shop/oven'

export type EditOven = (change: (oven: Oven) => Oven) => Promise<Saving>

/** Props of every view of an oven. */
export interface OvenProps {
  readonly oven: Oven
  readonly edit: EditOven
}
