import { useMemo } from 'react'
import type { PlannedRoute } from '../../../core/shop/route'
import { bandText, hrcText } from '../../../words/speaker'
import { usePredictions } from '../../use-predictions'
import { useBench } from '../bench-context'

/** Shows the expected finish of a steel by the route its logs show; null: it never came to its soak. */
export function Expected({ route }: { route: PlannedRoute | null }) {
  const { shown, learnt } = useBench()
  const { grade, prediction } = shown
  const [measured] =
    usePredictions(
      useMemo(() => route && [{ grade, route }], [grade, route]),
      learnt,
    ) ?? []
  if (!route)
    return <strong className="text-bad">The blade never reached its soak: it was not soaked long enough.</strong>
  if (!measured) return null
  return (
    <>
      Expected finished hardness by the log: <strong>{hrcText(measured.finalHrc.mean)} HRC</strong>{' '}
      {bandText(measured.finalHrc.sd)}; planned {hrcText(prediction.finalHrc.mean)}.
    </>
  )
}
