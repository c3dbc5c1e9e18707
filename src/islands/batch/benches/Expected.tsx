import { useMemo } from 'react'
import type { PlannedRoute } from '../../../core/shop/route'
import { predict } from '../../../core/steel/predict'
import { bandText, hrcText } from '../../../words/speaker'
import { useBench } from '../bench-context'

/** What the steel shown should finish at by the route its logs show; null: it never came to its soak. */
export function Expected({ route }: { route: PlannedRoute | null }) {
  const { grade, experience, prediction } = useBench().shown
  const measured = useMemo(() => route && predict(grade, route, experience), [grade, route, experience])
  if (!measured)
    return <strong className="text-bad">The blade never came within 5° of its soak: it is under-soaked.</strong>
  return (
    <>
      With what really happened it should finish at <strong>{hrcText(measured.finalHrc.mean)} HRC</strong>{' '}
      {bandText(measured.finalHrc.sd)}; as planned {hrcText(prediction.finalHrc.mean)}.
    </>
  )
}
