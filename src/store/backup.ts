import type { Saving } from '../core/codes/result'
import { type Adoption, adopt } from '../core/files/adopt'
import type { WorkshopData } from '../core/files/exchange'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { furtherOf } from '../core/shop/merge'
import type { Workshop } from '../core/shop/workshop'
import { db } from './database'
import { forgetHistory } from './history'
import { saving } from './save-state'

const TABLES = () =>
  [
    db.batches,
    db.blades,
    db.readings,
    db.recipes,
    db.runs,
    db.ownGrades,
    db.logs,
    db.pictures,
    db.shop,
    db.meta,
  ] as const

/** A workshop with settings and nothing in it. */
export const emptyData = (shop: Workshop): WorkshopData => ({
  shop,
  batches: [],
  blades: [],
  readings: [],
  recipes: [],
  runs: [],
  grades: [],
  logs: [],
  pictures: [],
})

/** Settings of a workshop that begins here: files tell by its origin that they are its own. */
export const newWorkshop = (): Workshop => ({ ...DEFAULT_WORKSHOP, origin: crypto.randomUUID() })

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
export const readAll = (): Promise<WorkshopData> => db.transaction('r', TABLES(), readTables)

/** Puts data in the place of everything stored; in one transaction or not at all. */
export const replaceAll = (data: WorkshopData): Promise<Saving> =>
  saving(() =>
    db.transaction('rw', TABLES(), async () => {
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

/** Adds what is new or has gone further than what is here; in one transaction or not at all. Null where it was refused. */
export async function addAll(file: WorkshopData): Promise<Adoption | null> {
  let adoption: Adoption | null = null
  const { saved } = await saving(() =>
    db.transaction('rw', TABLES(), async () => {
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

async function putRecords(data: WorkshopData): Promise<void> {
  await db.batches.bulkPut([...data.batches])
  await db.blades.bulkPut([...data.blades])
  await db.readings.bulkPut([...data.readings])
  await db.recipes.bulkPut([...data.recipes])
  await db.runs.bulkPut([...data.runs])
  await db.ownGrades.bulkPut([...data.grades])
  await db.logs.bulkPut([...data.logs])
  await db.pictures.bulkPut([...data.pictures])
  await db.meta.put({ key: 'seeded', value: new Date().toISOString() })
}

/** An empty workshop of one's own: of the settings that were here only how things are shown stays. */
export async function clearAll(): Promise<Saving> {
  const { units, theme } = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  return replaceAll(emptyData({ ...newWorkshop(), units, theme }))
}

/** Whether anything was laid down here yet. */
export const isSeeded = async (): Promise<boolean> => (await db.meta.get('seeded')) !== undefined

/** First visit: the demo workshop, if the server offers it. Later visits change nothing. */
export async function seedOnce(make: (() => Promise<WorkshopData>) | null): Promise<void> {
  if (await isSeeded()) return
  const data = make ? await make() : emptyData(newWorkshop())
  await db.transaction('rw', TABLES(), async () => {
    // Asked again inside the transaction: of two tabs that begin at once, one seeds.
    if (await isSeeded()) return
    await db.shop.put(data.shop)
    await putRecords(data)
  })
}

/** Everything stored, its batches with their blades. */
export const batchesOf = (data: WorkshopData) => withBlades(data.batches, data.blades)
