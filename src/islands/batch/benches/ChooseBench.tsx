import { useState } from 'react'
import { toast } from 'sonner'
import type { BatchGroup } from '../../../core/record/schemas'
import { Bench } from '../../../ui/Bench'
import { ViewChoice } from '../../../ui/ViewChoice'
import { editGroup } from '../edit'
import { saveAsRecipe } from '../save-recipe'
import { suggestFor } from '../suggest-for'
import type { BenchProps } from './bench-props'
import { CHOOSE_VIEWS, ChooseDrawing, type ChooseView } from './choose/ChooseDrawing'
import { ChooseFigures } from './choose/ChooseFigures'
import { GroupFields } from './choose/GroupFields'
import { RouteFields } from './RouteFields'

/** Steel, target and route; the recipe map on which the route is dragged. */
export function ChooseBench({ batch, plan, shop, preview }: BenchProps) {
  const { group, grade } = plan
  const [view, setView] = useState<ChooseView>('map')
  const setRoute = (label: string, route: BatchGroup['route'], settled: boolean) => {
    preview(group.id, route)
    if (settled) void editGroup(batch, group.id, label, g => ({ ...g, recipeId: null, route }))
  }
  return (
    <Bench
      title="Choose"
      says={`${grade.name}${grade.alsoNamed.length ? `, also ${grade.alsoNamed.join(', ')}` : ''}. ${grade.note}`}
      views={<ViewChoice views={CHOOSE_VIEWS} view={view} onView={setView} />}
      drawing={<ChooseDrawing view={view} plan={plan} shop={shop} onRoute={setRoute} />}
      figures={
        <>
          <ChooseFigures plan={plan} />
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="btn btn-ember" onClick={() => suggestFor(batch, group, shop)}>
              Suggest a route for {group.target.min} to {group.target.max}
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => void saveAsRecipe(group).then(name => name && toast(`Saved in recipes: ${name}`))}
            >
              Save as recipe
            </button>
          </div>
        </>
      }
      fields={
        <>
          <GroupFields batch={batch} plan={plan} shop={shop} />
          <RouteFields batch={batch} group={group} shop={shop} />
        </>
      }
    />
  )
}
