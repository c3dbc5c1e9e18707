import { trialOf } from '../../../../core/batch/trial'
import { fetchedAhead } from '../../../../ui/fetched-ahead'
import { Wished } from '../../../../ui/Wished'
import { useBench } from '../../bench-context'

const [TryChangeSheet, fetchSheet] = fetchedAhead(() => import('./TryChangeSheet'))

const BUTTON = { className: 'btn', children: 'Try a change …' }

/** Half of a steel's blades with one thing of the route changed, the other half as its control. */
export function TryChange() {
  const { batch, begun, shown, blades } = useBench()
  if (begun || trialOf(batch) || blades.filter(blade => blade.group.id === shown.group.id).length < 2) return null
  return (
    <Wished button={BUTTON} onMeant={fetchSheet}>
      <TryChangeSheet button={BUTTON} />
    </Wished>
  )
}
