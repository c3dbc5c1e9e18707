import { lazy, Suspense, useMemo } from 'react'
import type { Workshop } from '../../../../core/record/schemas'
import { withTemperC } from '../../../../core/steel/suggest'
import { RecipeMap } from '../../../../ui/recipe-map/RecipeMap'
import { useAnswer } from '../../../../workers/use-answer'
import { mapLimits } from '../../../map-limits'
import { useRecipeMap } from '../../../use-recipe-map'
import type { GroupPlan } from '../../use-plan'

const TemperChart = lazy(() => import('../../../../ui/charts/TemperChart'))

const HEIGHT = 252
type Route = GroupPlan['group']['route']

interface Props {
  readonly plan: GroupPlan
  readonly shop: Workshop
  readonly onRoute: (label: string, route: Route, settled: boolean) => void
}

export type ChooseView = (typeof CHOOSE_VIEWS)[number][0]

/** The recipe map, or the tempering curve through its point; the route is dragged on either. */
export function ChooseDrawing({ view, ...props }: Props & { view: ChooseView }) {
  return <div style={{ height: HEIGHT }}>{view === 'map' ? <MapView {...props} /> : <CurveView {...props} />}</div>
}

export const CHOOSE_VIEWS = [
  ['map', 'Recipe map'],
  ['curve', 'Curve'],
] as const

function MapView({ plan, shop, onRoute }: Props) {
  const { group, grade } = plan
  const map = useRecipeMap(grade, group.route, plan.experience)
  const hottest = Math.max(0, ...group.route.tempers.map(t => t.atC))
  if (!map) return <p className="pt-10 text-center text-ink-2">Drawing the map …</p>
  if (!map.ok) return <p className="pt-10 text-center text-bad">{map.problems[0]?.message}</p>
  return (
    <RecipeMap
      map={map.value}
      target={group.target}
      points={[
        {
          key: 'A',
          austenitizeC: group.route.austenitizeC,
          temperC: hottest || 100,
          active: true,
          hrc: plan.prediction.finalHrc.mean,
        },
      ]}
      limits={mapLimits(grade, shop)}
      system={shop.units}
      height={HEIGHT}
      onMove={(_, austenitizeC, temperC, settled) =>
        onRoute('Route on the map', withTemperC({ ...group.route, austenitizeC }, temperC) as Route, settled)
      }
    />
  )
}

function CurveView({ plan, shop, onRoute }: Props) {
  const { group, grade } = plan
  const request = useMemo(
    () => ({ steel: plan.steel, route: group.route, shop: plan.experience }),
    [plan.steel, group.route, plan.experience],
  )
  const curve = useAnswer('temper-curve', request)
  return (
    <Suspense fallback={null}>
      {curve?.ok && (
        <TemperChart
          points={curve.value}
          target={group.target}
          temperC={Math.max(0, ...group.route.tempers.map(t => t.atC))}
          system={shop.units}
          rustsAboveC={grade.family === 'stainless' ? 400 : null}
          chart={grade.chart?.points ?? []}
          onTemper={atC => onRoute(`Temper to ${Math.round(atC)} °C`, withTemperC(group.route, atC) as Route, true)}
        />
      )}
    </Suspense>
  )
}
