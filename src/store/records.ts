import { problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { type GradeSheet, gradeSheetSchema } from '../core/shop/grade-sheet'
import { takeBack } from '../core/shop/merge'
import type { Oven } from '../core/shop/oven'
import { type OvenLog, ovenLogSchema } from '../core/shop/oven-log'
import { type Reading, readingSchema } from '../core/shop/reading'
import { type Recipe, recipeSchema } from '../core/shop/recipe'
import { type Run, type RunEvent, runSchema } from '../core/shop/run'
import { type Workshop, workshopSchema } from '../core/shop/workshop'
import { createSubscribable } from '../core/subscribable'
import { followShop, PLAN_TABLES } from './batches'
import { db } from './database'
import { putDown } from './journal'
import { fitting, fittingChange, saving, Unfit } from './save-state'

export async function saveShop(change: (shop: Workshop) => Workshop): Promise<Saving> {
  let ended = () => {}
  const outcome = await saving(() => {
    const shown = shownShop.get()
    if (shown) ended = putDown({ of: 'shop', before: shown, after: change(shown) })
    return db.transaction('rw', PLAN_TABLES, async () => {
      const now = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
      const after = fittingChange(workshopSchema, now, change(now))
      await db.shop.put(after)
      await followShop(now, after)
    })
  })
  ended()
  return outcome
}

/** The settings as this page shows them; null before it does. */
export const shownShop = createSubscribable<Workshop | null>(null)

/** Writes a change that an earlier page did not come to write, unless the same part has changed since. */
export async function finishShop(before: Workshop, after: Workshop): Promise<void> {
  const stored = await db.shop.get('shop')
  if (stored && takeBack(stored, after, before)) await saveShop(now => takeBack(now, after, before) ?? now)
}

export const addReadings = (readings: readonly Reading[]): Promise<Saving> =>
  saving(() => db.readings.bulkAdd(readings.map(reading => fitting(readingSchema, reading))))

export const setReadingDeleted = (id: string, deletedAt: string | null): Promise<Saving> =>
  saving(() => db.readings.update(id, { deletedAt }))

export const putRecipe = (recipe: Recipe): Promise<Saving> =>
  saving(() => db.recipes.put(fitting(recipeSchema, recipe)))

export const putGrade = (sheet: GradeSheet): Promise<Saving> =>
  saving(() => db.ownGrades.put(fitting(gradeSheetSchema, sheet)))

export const removeGrade = (id: string): Promise<Saving> => saving(() => db.ownGrades.delete(id))

export const putLog = (log: OvenLog): Promise<Saving> => saving(() => db.logs.put(fitting(ovenLogSchema, log)))

/** Changes a part of a log and leaves the rest as it is stored now: one may be growing. Nothing where it was taken off. */
export const changeLog = (
  id: string,
  part: Partial<Pick<OvenLog, 'points' | 'loadedMin' | 'pulledMin'>>,
): Promise<Saving> => saving(() => db.logs.update(id, fitting(ovenLogSchema.partial(), part)))

export const removeLog = (id: string): Promise<Saving> => saving(() => db.logs.delete(id))

/** Changes one oven of the workshop. */
export const changeOven = (id: string, change: (oven: Oven) => Oven): Promise<Saving> =>
  saveShop(shop => ({ ...shop, ovens: shop.ovens.map(oven => (oven.id === id ? change(oven) : oven)) }))

/**
 * A run that begins now. Of one batch only one goes on at a time: where another tab began one in the same moment, that one goes on
 * and this is not stored.
 */
export async function addRun(run: Run): Promise<Saving> {
  return saving(() =>
    db.transaction('rw', db.runs, async () => {
      const going = await db.runs
        .where('batchId')
        .equals(run.batchId)
        .filter(other => other.endedAt === null)
        .first()
      if (going) throw new Unfit([problem('run-goes-on', {})])
      await db.runs.add(fitting(runSchema, run))
    }),
  )
}

/** Adds to a run's log in one transaction, on what is stored now: two open tabs keep one log. */
export const changeRun = (id: string, change: (run: Run) => Run): Promise<Saving> =>
  saving(() =>
    db.transaction('rw', db.runs, async () => {
      const run = await db.runs.get(id)
      if (run) await db.runs.put(fittingChange(runSchema, run, change(run)))
    }),
  )

export const logEvent = (id: string, event: RunEvent): Promise<Saving> =>
  changeRun(id, run => ({ ...run, events: [...run.events, event] }))

/** Readings that belonged to no blade are given to one. */
export const placeReadings = (ids: readonly string[], bladeId: string): Promise<Saving> =>
  saving(() =>
    db.transaction('rw', db.readings, () =>
      db.readings.bulkUpdate(ids.map(key => ({ key, changes: { bladeId, unplaced: undefined } }))),
    ),
  )
