import { withRoute } from '../../../../core/batch/route-edit'
import { editBatch } from '../../../../store/batches'
import { useSay } from '../../../../ui/Units'
import { signedText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'

/** Where two loads could share one soak: at what, and what it does to each steel. */
export function SharedSoak() {
  const { batch, shared } = useBench()
  const say = useSay()
  if (!shared) return null
  const take = () =>
    void editBatch(batch, 'Shared soak', b => ({
      ...b,
      groups: b.groups.map(group =>
        shared.changes.some(c => c.groupId === group.id)
          ? withRoute(group, { ...group.route, austenitizeC: shared.atC })
          : group,
      ),
    }))
  return (
    <p className="mb-2 border-l-3 border-ember pl-3 text-small">
      All of these steels can share one soak at {say.t(shared.atC)}:{' '}
      {shared.changes.map(c => `${c.gradeName} ${signedText(c.hrc)} HRC (from ${say.t(c.fromC)})`).join(', ')}.{' '}
      <button type="button" className="link min-h-touch font-semibold" onClick={take}>
        Use one shared soak
      </button>
    </p>
  )
}
