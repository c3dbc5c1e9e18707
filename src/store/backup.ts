import type { Saving } from '../core/codes/result'
import { type Adoption, adopt } from '../core/files/adopt'
import type { WorkshopData } from '../core/files/exchange'
import { rowsTold, TABLES, type Table, type ToldShare, UNTOLD } from '../core/files/pieces'
import { joinedRun } from '../core/run/join'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { furtherOf } from '../core/shop/merge'
import { db } from './database'
import { forgetHistory } from './history'
import { forgetAnswers } from './kept-answers'
import { refuseInRun } from './run-going-on'
import { saving } from './save-state'
import { emptyData, newWorkshop } from './seed'
import { allTables, putRecords, storedIn } from './tables'

async function readTables(told: ToldShare = UNTOLD): Promise<WorkshopData> {
  const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  const counts = await Promise.all(TABLES.map(table => storedIn(table).count()))
  const doneRows = rowsTold(
    counts.reduce((sum, count) => sum + count, 0),
    told,
  )
  const tables: Partial<Record<Table, unknown[]>> = {}
  for (const table of TABLES) {
    const rows = await storedIn(table).toArray()
    tables[table] = rows
    doneRows(rows.length)
  }
  return { shop, ...(tables as Omit<WorkshopData, 'shop'>) }
}

/** Everything stored, in one consistent read. */
export const readAll = (told: ToldShare = UNTOLD): Promise<WorkshopData> =>
  db.transaction('r', allTables(), () => readTables(told))

/** Puts data in the place of everything stored; in one transaction or not at all. */
export const replaceAll = async (data: WorkshopData, told: ToldShare = UNTOLD): Promise<Saving> => {
  const outcome = await saving(() =>
    db.transaction('rw', allTables(), async () => {
      await refuseInRun(() => true)
      await Promise.all(TABLES.map(table => storedIn(table).clear()))
      await db.shop.put(data.shop)
      await putRecords(data, told)
      forgetHistory()
    }),
  )
  if (outcome.saved) await forgetAnswers()
  return outcome
}

/** Adds what is new or has gone further than what is here; in one transaction or not at all. Null where it was refused. */
export async function addAll(file: WorkshopData, told: ToldShare = UNTOLD): Promise<Adoption | null> {
  let adoption: Adoption | null = null
  const { saved } = await saving(() =>
    db.transaction('rw', allTables(), async () => {
      const here = await readTables()
      adoption = adopt(here, file, () => crypto.randomUUID())
      const { data } = adoption
      await db.shop.put(data.shop)
      const batches = furtherOf(here.batches, data.batches, batch => batch.rev)
      const taken = new Set(batches.map(batch => batch.id))
      // A sheet that is here stays as it is: what is planned from it carries its own copy.
      const sheets = new Set(here.grades.map(grade => grade.id))
      const ownRuns = new Map(here.runs.map(run => [run.id, run]))
      const further = {
        ...data,
        batches,
        // Blades go with their batch: of one that has gone further here they stay as they are.
        blades: data.blades.filter(blade => taken.has(blade.batchId)),
        readings: furtherOf(here.readings, data.readings, reading => (reading.deletedAt ? 1 : 0)),
        recipes: furtherOf(here.recipes, data.recipes, recipe => recipe.versions.length),
        // The presses and remarks of both are kept.
        runs: data.runs.flatMap(run => {
          const own = ownRuns.get(run.id)
          const joined = own ? joinedRun(own, run) : run
          return own && JSON.stringify(own) === JSON.stringify(joined) ? [] : [joined]
        }),
        grades: data.grades.filter(grade => !sheets.has(grade.id)),
        // A log only grows, while its controller is listened to; what was said of it here stays.
        logs: furtherOf(here.logs, data.logs, log => log.points.length),
        pictures: furtherOf(here.pictures, data.pictures, picture => (picture.deletedAt ? 1 : 0)),
      }
      await putRecords(further, told)
    }),
  )
  return saved ? adoption : null
}

/** An empty workshop of one's own: of the settings that were here only how things are shown stays. */
export async function clearAll(): Promise<Saving> {
  const { units, theme } = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  return replaceAll(emptyData({ ...newWorkshop(), units, theme }))
}

/** Everything stored, its batches with their blades. */
export const batchesOf = (data: WorkshopData) => withBlades(data.batches, data.blades)
