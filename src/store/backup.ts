import { DEFAULT_WORKSHOP } from '../core/record/defaults'
import type { WorkshopData } from '../core/record/exchange'
import { furtherOf } from '../core/record/merge'
import { db } from './database'
import { saving } from './save-state'

const TABLES = () => [db.batches, db.readings, db.recipes, db.runs, db.grades, db.logs, db.shop, db.meta] as const

/** Everything stored, in one consistent read. */
export const readAll = (): Promise<WorkshopData> =>
  db.transaction('r', TABLES(), async () => ({
    shop: (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP,
    batches: await db.batches.toArray(),
    readings: await db.readings.toArray(),
    recipes: await db.recipes.toArray(),
    runs: await db.runs.toArray(),
    grades: await db.grades.toArray(),
    logs: await db.logs.toArray(),
  }))

/** Adds what is new or has gone further than what is there, or replaces it all; in one transaction or not at all. */
export const writeAll = (data: WorkshopData, mode: 'add' | 'replace'): Promise<boolean> =>
  saving(() =>
    db.transaction('rw', TABLES(), async () => {
      if (mode === 'replace') {
        await Promise.all(
          [db.batches, db.readings, db.recipes, db.runs, db.grades, db.logs].map(table => table.clear()),
        )
        await db.shop.put(data.shop)
      }
      await db.batches.bulkPut(furtherOf(await db.batches.toArray(), data.batches, batch => batch.rev))
      await db.readings.bulkPut(
        furtherOf(await db.readings.toArray(), data.readings, reading => (reading.deletedAt ? 1 : 0)),
      )
      await db.recipes.bulkPut(furtherOf(await db.recipes.toArray(), data.recipes, recipe => recipe.versions.length))
      await db.runs.bulkPut(furtherOf(await db.runs.toArray(), data.runs, run => run.events.length))
      // A sheet of the same name stays as it is here: what is planned from it carries its own copy.
      const known = new Set(await db.grades.toCollection().primaryKeys())
      await db.grades.bulkPut(data.grades.filter(grade => !known.has(grade.name)))
      await db.logs.bulkPut(data.logs)
      await db.meta.put({ key: 'seeded', value: new Date().toISOString() })
    }),
  )

/** An empty workshop with its settings kept. */
export const clearAll = async (): Promise<boolean> => {
  const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  return writeAll({ shop, batches: [], readings: [], recipes: [], runs: [], grades: [], logs: [] }, 'replace')
}

/** First visit: the demo workshop, if the server offers it. Later visits change nothing. */
export async function seedOnce(make: (() => Promise<WorkshopData>) | null): Promise<void> {
  if (await db.meta.get('seeded')) return
  const data = make
    ? await make()
    : { shop: DEFAULT_WORKSHOP, batches: [], readings: [], recipes: [], runs: [], grades: [], logs: [] }
  // Asked again: a second tab may have seeded meanwhile.
  if (!(await db.meta.get('seeded'))) await writeAll(data, 'replace')
}
