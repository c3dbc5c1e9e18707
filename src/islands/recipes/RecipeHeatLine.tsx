import { useMemo } from 'react'
import { entryOf } from '../../core/job/loads'
import { chamberOf, usualOvenOf } from '../../core/job/ovens'
import { planTimeline } from '../../core/job/timeline'
import type { Grade } from '../../data/grades'
import { HeatLine } from '../../ui/heatline/HeatLine'
import { useShopNow } from '../shop-context'
import type { RecipeRoute } from './recipe-edit'

/** Blades the line is drawn for: four of a middling size. */
const ASSUMED = { steelKg: 1, thicknessMm: 2.5 }

/** A recipe's route as a Heat Line, without a batch: its stations are not places yet. */
export function RecipeHeatLine({ route, grade }: { route: RecipeRoute; grade: Grade }) {
  const shop = useShopNow()
  const stretches = useMemo(
    () =>
      planTimeline({
        route,
        ...entryOf(undefined, grade.equalise, route.austenitizeC),
        oven: chamberOf(usualOvenOf(shop)),
        ...ASSUMED,
      }),
    [route, grade, shop],
  )
  return <HeatLine stretches={stretches} others={[]} system={shop.units} stations={null} trace={[]} now={null} />
}
