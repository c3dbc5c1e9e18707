import * as z from 'zod/mini'
import type { Saving } from '../core/codes/result'
import { isContinuing } from '../core/continuing'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { type GradeSheet, gradeSheetSchema } from '../core/shop/grade-sheet'
import { takeBack } from '../core/shop/merge'
import { type OvenLog, ovenLogSchema } from '../core/shop/oven-log'
import { type Reading, readingSchema } from '../core/shop/reading'
import { type Recipe, recipeSchema } from '../core/shop/recipe'
import { isThere } from '../core/shop/there'
import { type Workshop, workshopSchema } from '../core/shop/workshop'
import { db } from './database'
import { isDone, noteDone } from './done'
import { type Applied, remember, rememberChange } from './history'
import { restShop } from './rest-shop'
import { refuseInRun } from './run-going-on'
import { fitting, fittingChange, forgetRefused, saving } from './save-state'
import { followShop, PLAN_TABLES } from './write-batches'

/** Changes the settings and remembers how to take that back. */
export async function saveShop(
  change: (shop: Workshop) => Workshop,
  label = 'Change in the Workshop',
  intent: string | null = null,
): Promise<Saving> {
  const goesOn = isContinuing()
  const written = await writeShop(change, intent)
  if (written.outcome.saved && written.states)
    rememberChange({ key: 'shop', label, ...written.states, apply: async (to, from) => restoreShop(to, from) }, goesOn)
  return written.outcome
}

async function restoreShop(to: Workshop, from: Workshop): Promise<Applied> {
  let clash = false
  const { intent, end } = restShop(now => takeBack(now, to, from) ?? now)
  const { outcome } = await writeShop(now => {
    const restored = takeBack(now, to, from)
    clash = restored === null
    return restored ?? now
  }, intent)
  end(outcome.saved && !clash)
  return clash ? 'changed-elsewhere' : outcome.saved ? 'done' : 'refused'
}

/** Changes the settings, and notes that what was put down is done; nothing where it was done before. */
async function writeShop(
  change: (shop: Workshop) => Workshop,
  intent: string | null,
): Promise<{
  readonly outcome: Saving
  readonly states: { readonly before: Workshop; readonly after: Workshop } | null
}> {
  let states: { before: Workshop; after: Workshop } | null = null
  const outcome = await saving(() =>
    db.transaction('rw', PLAN_TABLES, async () => {
      if (intent && (await isDone(intent))) return
      const now = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
      const after = fittingChange(workshopSchema, now, change(now))
      const gone = now.ovens.filter(oven => !after.ovens.some(other => other.id === oven.id)).map(oven => oven.id)
      if (gone.length > 0) await refuseInRun((_, ovenIds) => ovenIds.some(id => id !== null && gone.includes(id)))
      await db.shop.put(after)
      await followShop(now, after)
      if (intent) await noteDone(intent)
      states = { before: now, after }
    }),
  )
  return { outcome, states }
}

/** Writes a change that an earlier page did not come to write, unless the same part has changed since. */
export async function finishShop(before: Workshop, after: Workshop, intent: string): Promise<void> {
  const stored = await db.shop.get('shop')
  if (stored && takeBack(stored, after, before)) await writeShop(now => takeBack(now, after, before) ?? now, intent)
}

/** A table of records by their ids. */
interface Shelf<T> {
  readonly name: string
  get(id: string): PromiseLike<T | undefined>
  put(record: T): PromiseLike<unknown>
  delete(id: string): PromiseLike<unknown>
}

/**
 * Writes a record of a table and remembers how to take that back; null deletes it. Taken back where it was changed since, it
 * stays as it is.
 */
async function keep<T>(table: Shelf<T>, id: string, label: string, record: T | null): Promise<Saving> {
  let before: T | null = null
  const put = (to: T | null) => (to ? table.put(to) : table.delete(id))
  const outcome = await saving(async () => {
    before = (await table.get(id)) ?? null
    await put(record)
  })
  if (outcome.saved && JSON.stringify(before) !== JSON.stringify(record))
    rememberChange<T | null>({
      key: `${table.name} ${id}`,
      label,
      before,
      after: record,
      apply: async (to, from) => {
        if (JSON.stringify((await table.get(id)) ?? null) !== JSON.stringify(from)) return 'changed-elsewhere'
        return (await saving(() => put(to))).saved ? 'done' : 'refused'
      },
    })
  return outcome
}

/** Marks readings as taken out, or as there again. */
const setDeleted = (ids: readonly string[], deletedAt: string | null): Promise<Saving> =>
  saving(() => db.readings.bulkUpdate(ids.map(key => ({ key, changes: { deletedAt } }))))

const applied = async (outcome: Promise<Saving>): Promise<Applied> => ((await outcome).saved ? 'done' : 'refused')

/** Records readings, and remembers how to take them out again. `onLater` is called where they are stored only at a later try. */
export async function addReadings(readings: readonly Reading[], onLater = () => {}): Promise<Saving> {
  // Entered anew they take the place of those that were refused.
  const isSame = (one: Reading) => readings.some(({ bladeId, stage }) => one.bladeId === bladeId && one.stage === stage)
  forgetRefused(rows => rows.readings?.some(isSame) ?? false)
  const write = () => db.readings.bulkAdd(readings.map(reading => fitting(readingSchema, reading)))
  const outcome = await saving(write, () => write().then(onLater), { readings: [...readings] })
  const ids = readings.map(reading => reading.id)
  if (outcome.saved && ids.length > 0)
    remember({
      label: ids.length === 1 ? '1 reading recorded' : `${ids.length} readings recorded`,
      undo: () => applied(setDeleted(ids, new Date().toISOString())),
      redo: () => applied(setDeleted(ids, null)),
    })
  return outcome
}

/** Takes a reading out; it is kept, and comes back when that is undone. */
export async function removeReading(id: string, label: string): Promise<Saving> {
  const at = new Date().toISOString()
  const outcome = await setDeleted([id], at)
  if (outcome.saved)
    remember({
      label,
      undo: () => applied(setDeleted([id], null)),
      redo: () => applied(setDeleted([id], at)),
    })
  return outcome
}

/** A record as its schema has it, or why it does not fit. */
function fitted<S extends z.ZodMiniType>(schema: S, record: unknown): z.infer<S> | Promise<Saving> {
  try {
    return fitting(schema, record)
  } catch (error) {
    return saving(() => Promise.reject(error))
  }
}

export const putRecipe = async (recipe: Recipe, label = `Recipe ${recipe.name}`): Promise<Saving> => {
  const record = fitted(recipeSchema, recipe)
  return record instanceof Promise ? record : keep(db.recipes, recipe.id, label, record)
}

export const putGrade = async (sheet: GradeSheet): Promise<Saving> => {
  const record = fitted(gradeSheetSchema, sheet)
  return record instanceof Promise ? record : keep(db.ownGrades, sheet.id, `Steel ${sheet.name}`, record)
}

export const removeGrade = ({ id, name }: GradeSheet): Promise<Saving> =>
  keep(db.ownGrades, id, `Steel ${name} deleted`, null)

export const putLog = async (log: OvenLog): Promise<Saving> => {
  const record = fitted(ovenLogSchema, log)
  return record instanceof Promise ? record : keep(db.logs, log.id, `Log ${log.name}`, record)
}

/** Changes a part of a log and leaves the rest as it is stored now: one may be growing. Nothing where it was taken off. */
export const changeLog = (
  id: string,
  part: Partial<Pick<OvenLog, 'points' | 'loadedMin' | 'pulledMin'>>,
): Promise<Saving> =>
  saving(() =>
    db.logs
      .where('id')
      .equals(id)
      .and(isThere)
      .modify(fitting(z.partial(ovenLogSchema), part)),
  )

/** Takes a log off: it rests in the Workshop until it is brought back. */
export const removeLog = async (log: OvenLog): Promise<Saving> =>
  keep(db.logs, log.id, `Log ${log.name} removed`, { ...(await storedLog(log)), deletedAt: new Date().toISOString() })

export const bringBackLog = async (log: OvenLog): Promise<Saving> =>
  keep(db.logs, log.id, `Log ${log.name} brought back`, { ...(await storedLog(log)), deletedAt: null })

/** As it is stored now: one may be growing. As it is known here where storage does not answer. */
const storedLog = (log: OvenLog): Promise<OvenLog> =>
  db.logs.get(log.id).then(
    stored => stored ?? log,
    () => log,
  )

/** Readings that belonged to no blade are given to one. */
export const placeReadings = (ids: readonly string[], bladeId: string): Promise<Saving> =>
  saving(() =>
    db.transaction('rw', db.readings, () =>
      db.readings.bulkUpdate(ids.map(key => ({ key, changes: { bladeId, unplaced: undefined } }))),
    ),
  )
