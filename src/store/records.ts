import type { Saving } from '../core/codes/result'
import type { GradeSheet } from '../core/shop/grade-sheet'
import type { Oven } from '../core/shop/oven'
import type { OvenLog } from '../core/shop/oven-log'
import type { Reading } from '../core/shop/reading'
import type { Recipe } from '../core/shop/recipe'
import { withSaid } from '../core/shop/said'
import type { Workshop } from '../core/shop/workshop'
import { restShop } from './rest-shop'
import { writing } from './writing'

/** Changes the settings and remembers how to take that back. */
export function saveShop(change: (shop: Workshop) => Workshop, label?: string): Promise<Saving> {
  const { intent, end } = restShop(change)
  return writing(async writers => {
    const outcome = await writers.saveShop(change, label, intent)
    end(outcome.saved)
    return outcome
  })
}

/** Changes one oven of the workshop. */
export const changeOven = (id: string, change: (oven: Oven) => Oven): Promise<Saving> =>
  saveShop(
    shop => withSaid({ ...shop, ovens: shop.ovens.map(oven => (oven.id === id ? change(oven) : oven)) }, 'oven'),
    'Change of an oven',
  )

/** Records readings, and remembers how to take them out again. `onLater` is called where they are stored only at a later try. */
export const addReadings = (readings: readonly Reading[], onLater?: () => void): Promise<Saving> =>
  writing(writers => writers.addReadings(readings, onLater))

/** Takes a reading out; it is kept, and comes back when that is undone. */
export const removeReading = (id: string, label: string): Promise<Saving> =>
  writing(writers => writers.removeReading(id, label))

/** Readings that belonged to no blade are given to one. */
export const placeReadings = (ids: readonly string[], bladeId: string): Promise<Saving> =>
  writing(writers => writers.placeReadings(ids, bladeId))

export const putRecipe = (recipe: Recipe, label?: string): Promise<Saving> =>
  writing(writers => writers.putRecipe(recipe, label))

export const putGrade = (sheet: GradeSheet): Promise<Saving> => writing(writers => writers.putGrade(sheet))

export const removeGrade = (sheet: GradeSheet): Promise<Saving> => writing(writers => writers.removeGrade(sheet))

export const putLog = (log: OvenLog): Promise<Saving> => writing(writers => writers.putLog(log))

/** Changes a part of a log and leaves the rest as it is stored now: one may be growing. Nothing where it was taken off. */
export const changeLog = (
  id: string,
  part: Partial<Pick<OvenLog, 'points' | 'loadedMin' | 'pulledMin'>>,
): Promise<Saving> => writing(writers => writers.changeLog(id, part))

/** Takes a log off: it rests in the Workshop until it is brought back. */
export const removeLog = (log: OvenLog): Promise<Saving> => writing(writers => writers.removeLog(log))

export const bringBackLog = (log: OvenLog): Promise<Saving> => writing(writers => writers.bringBackLog(log))
