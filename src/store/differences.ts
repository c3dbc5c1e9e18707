import { useLiveQuery } from 'dexie-react-hooks'
import type { Saving } from '../core/codes/result'
import type { StoredDifference } from '../core/joining/join-logs'
import { withPart } from '../core/joining/set-part'
import { editBatch } from './batches'
import { db } from './database'
import { readBatch } from './read-batch'
import { putGrade, putLog, putRecipe, saveShop } from './records'
import { saving } from './save-state'

/** Its record was deleted since: nothing is left to choose. */
const GONE = 'gone'

/** Takes the other value of a part that two screens changed: a change of this screen, which the others take in turn. */
export async function takeOther(difference: StoredDifference): Promise<Saving | typeof GONE> {
  const outcome = await putOther(difference)
  if (outcome === GONE || outcome.saved) await leaveAsTaken(difference)
  return outcome
}

/** The value that was taken stays, and nothing more is asked about it. */
export const leaveAsTaken = ({ key }: Pick<StoredDifference, 'key'>): Promise<void> => db.differences.delete(key)

/** Parts that two screens changed and nobody has looked at, those of one record together; undefined while loading. */
export const useDifferences = (): readonly StoredDifference[] | undefined =>
  useLiveQuery(() =>
    db.differences
      .orderBy('key')
      .toArray()
      .catch(() => []),
  )

async function putOther({
  table,
  id,
  path,
  taken,
  here,
  there,
  name,
}: StoredDifference): Promise<Saving | typeof GONE> {
  const value = taken === 'here' ? there : here
  const label = `The other value in ${name}`
  switch (table) {
    case 'shop':
      return saveShop(shop => withPart(table, shop, path, value), label)
    case 'batches': {
      const batch = await readBatch(id)
      return batch ? editBatch(batch, label, now => withPart(table, now, path, value)) : GONE
    }
    case 'blades': {
      const batch = await readBatch((await db.blades.get(id))?.batchId ?? '')
      const changed = (blade: { readonly id: string }) => blade.id === id
      return batch
        ? editBatch(batch, label, now => ({
            ...now,
            blades: now.blades.map(blade => (changed(blade) ? withPart(table, blade, path, value) : blade)),
          }))
        : GONE
    }
    case 'recipes': {
      const recipe = await db.recipes.get(id)
      return recipe ? putRecipe(withPart(table, recipe, path, value), label) : GONE
    }
    case 'grades': {
      const grade = await db.ownGrades.get(id)
      return grade ? putGrade(withPart(table, grade, path, value)) : GONE
    }
    case 'logs': {
      const log = await db.logs.get(id)
      return log ? putLog(withPart(table, log, path, value)) : GONE
    }
    case 'readings':
    case 'pictures':
      return saving(() =>
        db
          .table(table)
          .where('id')
          .equals(id)
          .modify((row, at) => {
            at.value = withPart(table, row, path, value)
          }),
      )
  }
}
