import type { Saving } from '../core/codes/result'
import { type Adoption, adopt } from '../core/files/adopt'
import type { WorkshopData } from '../core/files/exchange'
import type { Batch } from '../core/shop/batch'
import { partBatch, withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { furtherOf } from '../core/shop/merge'
import { db } from './database'
import { forgetHistory } from './history'
import { forgetAnswers } from './kept-answers'
import { saving } from './save-state'
import { emptyData, newWorkshop } from './seed'
import { allTables, putRecords } from './tables'

async function readTables(): Promise<WorkshopData> {
  return {
    shop: (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP,
    batches: await db.batches.toArray(),
    blades: await db.blades.toArray(),
    readings: await db.readings.toArray(),
    recipes: await db.recipes.toArray(),
    runs: await db.runs.toArray(),
    grades: await db.ownGrades.toArray(),
    logs: await db.logs.toArray(),
    pictures: await db.pictures.toArray(),
  }
}

/** Everything stored, in one consistent read. */
export const readAll = (): Promise<WorkshopData> => db.transaction('r', allTables(), readTables)

/** Puts data in the place of everything stored; in one transaction or not at all. */
export const replaceAll = async (data: WorkshopData): Promise<Saving> => {
  const outcome = await saving(() =>
    db.transaction('rw', allTables(), async () => {
      await Promise.all(
        [db.batches, db.blades, db.readings, db.recipes, db.runs, db.ownGrades, db.logs, db.pictures].map(table =>
          table.clear(),
        ),
      )
      await db.shop.put(data.shop)
      await putRecords(data)
      forgetHistory()
    }),
  )
  if (outcome.saved) await forgetAnswers()
  return outcome
}

/** Adds what is new or has gone further than what is here; in one transaction or not at all. Null where it was refused. */
export async function addAll(file: WorkshopData): Promise<Adoption | null> {
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
      await putRecords({
        ...data,
        batches,
        // Blades go with their batch: of one that has gone further here they stay as they are.
        blades: data.blades.filter(blade => taken.has(blade.batchId)),
        readings: furtherOf(here.readings, data.readings, reading => (reading.deletedAt ? 1 : 0)),
        recipes: furtherOf(here.recipes, data.recipes, recipe => recipe.versions.length),
        runs: furtherOf(here.runs, data.runs, run => run.events.length),
        grades: data.grades.filter(grade => !sheets.has(grade.id)),
        // A log only grows, while its controller is listened to; what was said of it here stays.
        logs: furtherOf(here.logs, data.logs, log => log.points.length),
        pictures: furtherOf(here.pictures, data.pictures, picture => (picture.deletedAt ? 1 : 0)),
      })
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

/** Everything stored with what could not be stored laid over it. */
export function withUnsaved(data: WorkshopData, batches: readonly Batch[]): WorkshopData {
  const parts = batches.map(partBatch)
  const ids = new Set(parts.map(part => part.record.id))
  return {
    ...data,
    batches: [...data.batches.filter(batch => !ids.has(batch.id)), ...parts.map(part => part.record)],
    blades: [...data.blades.filter(blade => !ids.has(blade.batchId)), ...parts.flatMap(part => part.blades)],
  }
}
