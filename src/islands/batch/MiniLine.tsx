import type { Batch, Workshop } from '../../core/record/schemas'
import { Curve } from '../../ui/heatline/Curve'
import { heatScale } from '../../ui/heatline/scale'
import { usePlans } from './use-plan'

const BOX = { left: 4, right: 216, top: 6, bottom: 50 }

/** The batch's first plan, small: enough to know it by its shape. */
export function MiniLine({ batch, shop }: { batch: Batch; shop: Workshop }) {
  const plan = usePlans(batch, shop, null)[0]
  if (!plan) return null
  const scale = heatScale(
    plan.stretches.filter(s => s.endMin > s.startMin),
    BOX,
  )
  return (
    <svg viewBox="0 0 220 56" className="block h-14 w-full bg-soot" aria-hidden="true">
      <Curve scale={scale} strokeWidth={2} />
    </svg>
  )
}
