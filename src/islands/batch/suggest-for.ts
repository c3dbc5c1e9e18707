import { letFollow } from '../../core/batch/route-edit'
import type { Batch } from '../../core/shop/batch'
import { ROUTE_PARTS, type RoutePart } from '../../core/shop/route-parts'
import { undoable } from '../undo'
import { editGroup } from './edit'

/** Leaves parts of a steel's route, or all of it, to what is suggested; the store works out what that is. */
export async function suggestFor(batch: Batch, groupId: string, parts: readonly RoutePart[] = ROUTE_PARTS) {
  await editGroup(batch, groupId, 'Suggested route', group => letFollow(group, parts))
  if (parts === ROUTE_PARTS) undoable('Route worked out for the target and this shop')
}
