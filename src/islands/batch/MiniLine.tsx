import { useMemo } from 'react'
import { stretchesOf } from '../../core/job/batch-model'
import { loadsOf } from '../../core/job/loads'
import { ovenOf } from '../../core/job/ovens'
import type { Batch } from '../../core/shop/batch'
import { gradeOf } from '../../core/steel/grades'
import { Curve } from '../../ui/heatline/Curve'
import { heatScale } from '../../ui/heatline/scale'
import { useShopNow } from '../shop-context'

const BOX = { left: 4, right: 216, top: 6, bottom: 50 }

/** The batch's first plan, small: enough to know it by its shape. Nothing where its oven or its grade is gone. */
export function MiniLine({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  const stretches = useMemo(() => {
    const [group] = batch.groups
    const grade = group && gradeOf(group)
    return grade ? stretchesOf(group, grade, { batch, loads: loadsOf(batch), oven: ovenOf(shop, batch) }) : []
  }, [batch, shop])
  if (stretches.length === 0) return null
  const scale = heatScale(
    stretches.filter(s => s.endMin > s.startMin),
    BOX,
  )
  return (
    <svg viewBox="0 0 220 56" className="block h-14 w-full bg-soot" aria-hidden="true">
      <Curve scale={scale} strokeWidth={2} />
    </svg>
  )
}
