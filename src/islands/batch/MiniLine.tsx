import { useMemo } from 'react'
import type { Batch } from '../../core/shop/batch'
import { Curve } from '../../ui/heatline/Curve'
import { heatScale } from '../../ui/heatline/scale'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

const BOX = { left: 4, right: 216, top: 6, bottom: 50 }

/** The batch's first plan, small: enough to know it by its shape. Nothing where its oven or its grade is gone. */
export function MiniLine({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  const { ovens, units } = shop
  const answer = useAnswer(
    'batch-line',
    useMemo(() => ({ batch, shop: { ovens, units } }), [batch, ovens, units]),
  )
  if (!answer) return <div className="h-14 bg-soot" />
  if (!answer.ok || answer.value.length === 0) return null
  const scale = heatScale(
    answer.value.filter(s => s.endMin > s.startMin),
    BOX,
  )
  return (
    <svg viewBox="0 0 220 56" className="block h-14 w-full bg-soot" aria-hidden="true">
      <Curve scale={scale} strokeWidth={2} />
    </svg>
  )
}
