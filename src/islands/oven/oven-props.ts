import type { Saving } from '../../core/codes/result'
import type { Oven } from '../../core/shop/oven'

export type EditOven = (change: (oven: Oven) => Oven) => Promise<Saving>

/** What every view of an oven gets. */
export interface OvenProps {
  readonly oven: Oven
  readonly edit: EditOven
}
