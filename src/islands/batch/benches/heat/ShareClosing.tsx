import { useMemo } from 'react'
import { closingToShare } from '../../../../core/plan/share-closing'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { formatBoth, formatQuantity } from '../../../../core/units/quantity'
import { editBatch } from '../../../../store/batches'

/** Where two loads could be one closing of the door: at what, and what it does to each steel. */
export function ShareClosing({ batch, shop }: { batch: Batch; shop: Workshop }) {
  const shared = useMemo(() => closingToShare(batch), [batch])
  if (!shared) return null
  const take = () =>
    void editBatch(batch, 'One closing', b => ({
      ...b,
      groups: b.groups.map(group =>
        shared.changes.some(c => c.groupId === group.id)
          ? { ...group, recipeId: null, route: { ...group.route, austenitizeC: shared.atC } }
          : group,
      ),
    }))
  return (
    <p className="mb-2 border-l-3 border-ember pl-3 text-[13px]">
      Their windows meet: one closing at {formatBoth(shared.atC, shop.units)} would do, with{' '}
      {shared.changes
        .map(
          c =>
            `${c.gradeName} ${c.hrc >= 0 ? '+' : '−'}${Math.abs(c.hrc).toFixed(1)} HRC (from ${formatQuantity(c.fromC, 'temperature', shop.units)})`,
        )
        .join(', ')}
      .{' '}
      <button type="button" className="link min-h-9 font-semibold" onClick={take}>
        Soak them together
      </button>
    </p>
  )
}
