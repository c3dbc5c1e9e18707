import { Suspense, useDeferredValue } from 'react'
import type { Grade } from '../../data/grades'
import { HeatLine } from '../../ui/heatline/heat-line-part'
import { useSystem } from '../../ui/Units'
import type { RecipeRoute } from './recipe-edit'
import { useRecipeLine } from './use-recipe-line'

/** A recipe's route as a Heat Line, without a batch: its stations are not places yet. */
export function RecipeHeatLine({ route, grade }: { route: RecipeRoute; grade: Grade }) {
  const system = useSystem()
  // Drawn bit by bit, so that a hand that drags is followed meanwhile.
  const answer = useDeferredValue(useRecipeLine(route, grade))
  const soot = <div className="min-h-[160px]" />
  if (!answer?.ok) return soot
  return (
    <Suspense fallback={soot}>
      <HeatLine stretches={answer.value} others={[]} system={system} stations={null} trace={[]} now={null} />
    </Suspense>
  )
}
