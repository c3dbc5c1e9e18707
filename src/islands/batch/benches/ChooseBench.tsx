import { lazy, Suspense, useState } from 'react'
import { withRoute } from '../../../core/batch/route-edit'
import { isOutOf } from '../../../core/rockwell/target'
import type { BatchGroup } from '../../../core/shop/batch'
import { putRecipe } from '../../../store/records'
import { Bench } from '../../../ui/Bench'
import { More } from '../../../ui/More'
import { toast } from '../../../ui/toast'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { inUnits } from '../../../words/marked'
import { useBench } from '../bench-context'
import { editGroup, newId } from '../edit'
import { suggestFor } from '../suggest-for'
import { CHOOSE_VIEWS, ChooseDrawing, type ChooseView } from './choose/ChooseDrawing'
import { ChooseFigures } from './choose/ChooseFigures'
import { GroupFields } from './choose/GroupFields'
import { RouteFields } from './RouteFields'

const WhyNot = lazy(() => import('./choose/WhyNot'))

/** Saves a group's route as version 1 of a new recipe; its name, or null when it was refused. */
async function saveAsRecipe(group: BatchGroup): Promise<string | null> {
  const name = `${group.gradeName}, ${group.target.min} to ${group.target.max} HRC`
  const { saved } = await putRecipe({
    id: newId(),
    name,
    gradeId: group.gradeId,
    gradeName: group.gradeName,
    sheet: group.sheet,
    target: group.target,
    retired: false,
    versions: [{ number: 1, at: new Date().toISOString(), route: group.route, why: 'First version, from a batch.' }],
  })
  return saved ? name : null
}

/** Steel, target and route; the recipe map on which the route is dragged. */
export function ChooseBench() {
  const say = useSay()
  const { batch, shown, preview } = useBench()
  const { group, grade } = shown
  const [view, setView] = useState<ChooseView>('map')
  const [asks, setAsks] = useState(false)
  const misses = isOutOf(group.target, shown.prediction.finalHrc.mean)
  const setRoute = (label: string, route: BatchGroup['route'], settled: boolean) => {
    preview(group.id, route)
    if (settled) void editGroup(batch, group.id, label, g => withRoute(g, route))
  }
  return (
    <Bench
      title="Choose"
      says={`${grade.name}${grade.alsoNamed.length ? `, also ${grade.alsoNamed.join(', ')}` : ''}. ${inUnits(grade.note, say)}`}
      views={<ViewChoice views={CHOOSE_VIEWS} view={view} onView={setView} />}
      drawing={<ChooseDrawing view={view} onRoute={setRoute} />}
      figures={
        <>
          <ChooseFigures />
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="btn btn-ember" onClick={() => void suggestFor(batch, group.id)}>
              Suggest a route for {group.target.min} to {group.target.max}
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => void saveAsRecipe(group).then(name => name && toast(`Saved in recipes: ${name}`))}
            >
              Save as recipe
            </button>
            {misses && (
              <button type="button" className="btn" aria-expanded={asks} onClick={() => setAsks(!asks)}>
                Why not {group.target.min}?
              </button>
            )}
          </div>
          {misses && asks && (
            <Suspense fallback={<p className="text-small text-ink-2">Looking …</p>}>
              <WhyNot />
            </Suspense>
          )}
        </>
      }
      fields={
        <>
          <GroupFields />
          <More place="route" title="Route in figures" says="austenitize temperature, soak, cold, tempers">
            <RouteFields />
          </More>
        </>
      }
    />
  )
}
