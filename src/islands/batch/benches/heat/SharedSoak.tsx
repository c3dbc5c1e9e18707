import { withRoute } from '../../../../core/job/suggestion'
import { editBatch } from '../../../../store/batches'
import { useSay } from '../../../../ui/Units'
import { useBench } from '../../bench-context'

/** Where two loads could share one soak: at what, and what it does to each steel. */
export function SharedSoak() {
  const { batch, shared } = useBench()
  const say = useSay()
  if (!shared) return null
  const take = () =>
    void editBatch(batch, 'One soak', b => ({
      ...b,
      groups: b.groups.map(group =>
        shared.changes.some(c => c.groupId === group.id)
          ? withRoute(group, { ...group.route, austenitizeC: shared.atC })
          : group,
      ),
    }))
  return (
    <p className="mb-2 border-l-3 border-ember pl-3 text-small">
      Two loads can share one soak at {say.both(shared.atC)}:{' '}
      {shared.changes
        .map(c => `${c.gradeName} ${c.hrc >= 0 ? '+' : '−'}${Math.abs(c.hrc).toFixed(1)} HRC (from ${say.t(c.fromC)})`)
        .join(', ')}
      .{' '}
      <button type="button" className="link min-h-9 font-semibold" onClick={take}>
        Soak them together
      </button>
    </p>
  )
}
