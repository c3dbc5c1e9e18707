import { useMemo } from 'react'
import { predict } from '../../../core/steel/predict'
import type { Route } from '../../../core/steel/route'
import type { GroupPlan } from '../use-plan'
import { band95, hrcText } from './bench-props'

/** What a group should finish at by the route its logs show; null: it never came to its soak. */
export function Expected({ plan, route }: { plan: GroupPlan; route: Route | null }) {
  const { grade, experience, prediction } = plan
  const measured = useMemo(() => route && predict(grade, route, experience), [grade, route, experience])
  if (!measured)
    return <strong className="text-bad">The blade never came within 5° of its soak: it is under-soaked.</strong>
  return (
    <>
      With what really happened it should finish at <strong>{hrcText(measured.finalHrc.mean)} HRC</strong>{' '}
      {band95(measured.finalHrc.sd)}; as planned {hrcText(prediction.finalHrc.mean)}.
    </>
  )
}
