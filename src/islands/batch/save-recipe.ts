import type { BatchGroup } from '../../core/shop/batch'
import { putRecipe } from '../../store/records'
import { newId } from './edit'

/** Saves a group's route as version 1 of a new recipe; its name, or null when it was refused. */
export async function saveAsRecipe(group: BatchGroup): Promise<string | null> {
  const name = `${group.gradeName}, ${group.target.min} to ${group.target.max} HRC`
  const { saved } = await putRecipe({
    id: newId(),
    name,
    gradeId: group.gradeId,
    gradeName: group.gradeName,
    sheet: group.sheet,
    target: group.target,
    retired: false,
    versions: [{ number: 1, at: new Date().toISOString(), route: group.route, why: 'First version, from a batch.' }],
  })
  return saved ? name : null
}
