import { lazy, Suspense, useState } from 'react'
import type { Workshop } from '../../../../core/record/schemas'
import { withTemperC } from '../../../../core/steel/suggest'
import { RecipeMap } from '../../../../ui/recipe-map/RecipeMap'
import { useAnswer } from '../../../../workers/use-answer'
import { mapLimits } from '../../../map-limits'
import { useRecipeMap } from '../../../use-recipe-map'
import type { GroupPlan } from '../../use-plan'

const TemperChart = lazy(() => import('../../../../ui/charts/TemperChart'))

const HEIGHT = 272
type Route = GroupPlan['group']['route']

interface Props {
  readonly plan: GroupPlan
  readonly shop: Workshop
  readonly onRoute: (label: string, route: Route, settled: boolean) => void
}

/** The recipe map, or the tempering curve through its point; the route is dragged on either. */
export function ChooseDrawing({ plan, shop, onRoute }: Props) {
  const [view, setView] = useState<'map' | 'curve'>('map')
  return (
    <div>
      <div role="group" aria-label="Drawn as" className="-mt-1 mb-1 flex gap-1">
        {(['map', 'curve'] as const).map(name => (
          <button
            key={name}
            type="button"
            aria-pressed={view === name}
            className={`min-h-11 px-2 text-[13px] ${view === name ? 'font-semibold underline decoration-ember decoration-2 underline-offset-[6px]' : 'text-ink-2'}`}
            onClick={() => setView(name)}
          >
            {name === 'map' ? 'Recipe map' : 'Tempering curve'}
          </button>
        ))}
        <p className="ml-auto self-center text-[12.5px] text-ink-2">Drag the point; the Heat Line follows.</p>
      </div>
      <div style={{ height: HEIGHT }}>
        {view === 'map' ? (
          <MapView plan={plan} shop={shop} onRoute={onRoute} />
        ) : (
          <CurveView plan={plan} shop={shop} onRoute={onRoute} />
        )}
      </div>
    </div>
  )
}

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
  const curve = useAnswer('temper-curve', { steel: plan.steel, route: group.route })
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
