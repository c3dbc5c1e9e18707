import { DEFAULT_WORKSHOP } from '../core/record/defaults'
import { type GradeSheet, gradeSheetSchema } from '../core/record/grade-sheet'
import type { Oven } from '../core/record/oven-schema'
import type { OvenLog, Reading, Recipe, Run, RunEvent, Workshop } from '../core/record/schemas'
import { ovenLogSchema, readingSchema, recipeSchema, runSchema, workshopSchema } from '../core/record/schemas'
import { db } from './database'
import { saving } from './save-state'

export const saveShop = (change: (shop: Workshop) => Workshop): Promise<boolean> =>
  saving(() =>
    db.transaction('rw', db.shop, async () => {
      const now = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
      await db.shop.put(workshopSchema.parse(change(now)))
    }),
  )

export const addReadings = (readings: readonly Reading[]): Promise<boolean> =>
  saving(() => db.readings.bulkAdd(readings.map(reading => readingSchema.parse(reading))))

export const setReadingDeleted = (id: string, deletedAt: string | null): Promise<boolean> =>
  saving(() => db.readings.update(id, { deletedAt }))

export const putRecipe = (recipe: Recipe): Promise<boolean> => saving(() => db.recipes.put(recipeSchema.parse(recipe)))

export const putGrade = (sheet: GradeSheet): Promise<boolean> =>
  saving(() => db.grades.put(gradeSheetSchema.parse(sheet)))

export const removeGrade = (name: string): Promise<boolean> => saving(() => db.grades.delete(name))

export const putLog = (log: OvenLog): Promise<boolean> => saving(() => db.logs.put(ovenLogSchema.parse(log)))

/** Changes a part of a log and leaves the rest as it is stored now: one may be growing. Nothing where it was taken off. */
export const changeLog = (
  id: string,
  part: Partial<Pick<OvenLog, 'points' | 'loadedMin' | 'pulledMin'>>,
): Promise<boolean> => saving(() => db.logs.update(id, ovenLogSchema.partial().parse(part)))

export const removeLog = (id: string): Promise<boolean> => saving(() => db.logs.delete(id))

/** Changes one oven of the workshop. */
export const changeOven = (id: string, change: (oven: Oven) => Oven): Promise<boolean> =>
  saveShop(shop => ({ ...shop, ovens: shop.ovens.map(oven => (oven.id === id ? change(oven) : oven)) }))

export const addRun = (run: Run): Promise<boolean> => saving(() => db.runs.add(runSchema.parse(run)))

/** Adds to a run's log in one transaction, on what is stored now: two open tabs keep one log. */
export const changeRun = (id: string, change: (run: Run) => Run): Promise<boolean> =>
  saving(() =>
    db.transaction('rw', db.runs, async () => {
      const run = await db.runs.get(id)
      if (run) await db.runs.put(runSchema.parse(change(run)))
    }),
  )

export const logEvent = (id: string, event: RunEvent): Promise<boolean> =>
  changeRun(id, run => ({ ...run, events: [...run.events, event] }))
