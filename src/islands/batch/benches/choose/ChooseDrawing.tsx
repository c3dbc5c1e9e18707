import { useMemo } from 'react'
import type { PlannedRoute } from '../../../../core/shop/route'
import { withTemperC } from '../../../../core/steel/usual'
import { Problems } from '../../../../ui/Problems'
import { RecipeMap } from '../../../../ui/recipe-map/RecipeMap'
import { mapLimits } from '../../../map-limits'
import { useRecipeMap } from '../../../use-recipe-map'
import { useBench } from '../../bench-context'
import { RouteCurve } from '../RouteCurve'

const HEIGHT = 234
type Route = PlannedRoute

interface Props {
  readonly onRoute: (label: string, route: Route, settled: boolean) => void
}

export type ChooseView = (typeof CHOOSE_VIEWS)[number][0]

/** The recipe map, or the tempering curve through its point; the route is dragged on either. */
export function ChooseDrawing({ view, ...props }: Props & { view: ChooseView }) {
  return <div style={{ height: HEIGHT }}>{view === 'map' ? <MapView {...props} /> : <RouteCurve {...props} />}</div>
}

export const CHOOSE_VIEWS = [
  ['map', 'Recipe map'],
  ['curve', 'Curve'],
] as const

function MapView({ onRoute }: Props) {
  const { shop, shown, learnt } = useBench()
  const { group, grade } = shown
  const map = useRecipeMap(grade, group.route, group.target, learnt)
  const limits = useMemo(() => mapLimits(grade, shop), [grade, shop])
  const hottest = Math.max(0, ...group.route.tempers.map(t => t.atC))
  if (!map) return <p className="pt-10 text-center text-ink-2">Drawing the map …</p>
  if (!map.ok) return <Problems of={map.problems} />
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
          hrc: shown.prediction.finalHrc.mean,
        },
      ]}
      limits={limits}
      system={shop.units}
      height={HEIGHT}
      onMove={(_, austenitizeC, temperC, settled) =>
        onRoute('Route on the map', withTemperC({ ...group.route, austenitizeC }, temperC), settled)
      }
    />
  )
}
