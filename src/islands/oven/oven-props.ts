import type { Oven } from '../../core/record/oven-schema'
import type { Workshop } from '../../core/record/schemas'

export type EditOven = (change: (oven: Oven) => Oven) => void

/** What every view of an oven gets. */
export interface OvenProps {
  readonly oven: Oven
  readonly shop: Workshop
  readonly edit: EditOven
}
