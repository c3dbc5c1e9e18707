import { useMemo } from 'react'
import { planTimeline } from '../../core/plan/timeline'
import { entryOf } from '../../core/plan/tray'
import { chamberOf, ovenOf } from '../../core/record/oven-record'
import type { Workshop } from '../../core/record/schemas'
import type { Grade } from '../../data/grades'
import { HeatLine } from '../../ui/heatline/HeatLine'
import type { RecipeRoute } from './recipe-edit'

/** Blades the line is drawn for: four of a middling size. */
const ASSUMED = { steelKg: 1, thicknessMm: 2.5 }

/** A recipe's route as a Heat Line, without a batch: its stations are not places yet. */
export function RecipeHeatLine({ route, grade, shop }: { route: RecipeRoute; grade: Grade; shop: Workshop }) {
  const stretches = useMemo(
    () =>
      planTimeline({
        route,
        ...entryOf(undefined, grade.equalise, route.austenitizeC),
        oven: chamberOf(ovenOf(shop)),
        ...ASSUMED,
      }),
    [route, grade, shop],
  )
  return <HeatLine stretches={stretches} others={[]} system={shop.units} stations={null} trace={[]} now={null} />
}
