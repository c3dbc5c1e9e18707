import { lazy, Suspense, useMemo } from 'react'
import type { PlannedRoute } from '../../../core/shop/route'
import { steelRequest } from '../../../core/steel/grades'
import { withTemperC } from '../../../core/steel/usual'
import { useSay } from '../../../ui/Units'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'

const TemperChart = lazy(() => import('../../../ui/charts/TemperChart'))

interface Props {
  readonly onRoute: (label: string, route: PlannedRoute, settled: boolean) => void
}

/** The tempering curve of the shown steel through its route, with target and corrosion limit; the tempers are dragged along it. */
export function RouteCurve({ onRoute }: Props) {
  const say = useSay()
  const { shop, shown, learnt } = useBench()
  const { group, grade } = shown
  const request = useMemo(
    () => ({ steel: steelRequest(grade), route: group.route, learnt }),
    [grade, group.route, learnt],
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
          onTemper={atC => onRoute(`Temper to ${say.t(atC)}`, withTemperC(group.route, atC), true)}
        />
      )}
    </Suspense>
  )
}
