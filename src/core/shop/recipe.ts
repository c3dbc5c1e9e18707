import * as z from 'zod/mini'
import { id, instant, textUpTo } from './fields'
import { gradeSheetSchema } from './grade-sheet'
import type { ReadOnly } from './read-only'
import { routeSchema, targetSchema } from './route'

/** A grade's saved route, with its versions and why each came about. */
export const recipeSchema = z.object({
  id,
  name: textUpTo('recipeName'),
  gradeId: id,
  gradeName: textUpTo('gradeName'),
  sheet: z.optional(gradeSheetSchema),
  target: targetSchema,
  retired: z.boolean(),
  versions: z
    .array(z.object({ number: z.int().check(z.minimum(1)), at: instant, route: routeSchema, why: textUpTo('why') }))
    .check(z.minLength(1), z.maxLength(200)),
})

export type Recipe = ReadOnly<z.infer<typeof recipeSchema>>
