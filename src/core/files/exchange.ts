import * as z from 'zod/mini'
import { batchRecordSchema } from '../shop/batch'
import { bladeSchema } from '../shop/blade'
import { gradeSheetSchema } from '../shop/grade-sheet'
import { ovenLogSchema } from '../shop/oven-log'
import { pictureSchema } from '../shop/picture'
import type { ReadOnly } from '../shop/read-only'
import { readingSchema } from '../shop/reading'
import { recipeSchema } from '../shop/recipe'
import { runSchema } from '../shop/run'
import { seenSchema, stampRowSchema } from '../shop/stamps'
import { workshopSchema } from '../shop/workshop'

/** Says that a file is ours, and which version of its shape it has. */
export const EXCHANGE_FORMAT = 'tawny-ember-workshop'
export const EXCHANGE_VERSION = 11

/** More rows of a table are no workshop's. */
export const MOST_ROWS = {
  batches: 20_000,
  blades: 200_000,
  readings: 500_000,
  recipes: 5_000,
  runs: 20_000,
  grades: 1_000,
  logs: 5_000,
  pictures: 20_000,
  stamps: 800_000,
} as const

export const exchangeSchema = z.object({
  format: z.literal(EXCHANGE_FORMAT),
  version: z.literal(EXCHANGE_VERSION),
  exportedAt: z.iso.datetime(),
  /** How far it had seen the changes of each screen. */
  seen: seenSchema,
  shop: workshopSchema,
  batches: z.array(batchRecordSchema).check(z.maxLength(MOST_ROWS.batches)),
  blades: z.array(bladeSchema).check(z.maxLength(MOST_ROWS.blades)),
  readings: z.array(readingSchema).check(z.maxLength(MOST_ROWS.readings)),
  recipes: z.array(recipeSchema).check(z.maxLength(MOST_ROWS.recipes)),
  runs: z.array(runSchema).check(z.maxLength(MOST_ROWS.runs)),
  grades: z.array(gradeSheetSchema).check(z.maxLength(MOST_ROWS.grades)),
  logs: z.array(ovenLogSchema).check(z.maxLength(MOST_ROWS.logs)),
  pictures: z.array(pictureSchema).check(z.maxLength(MOST_ROWS.pictures)),
  stamps: z.array(stampRowSchema).check(z.maxLength(MOST_ROWS.stamps)),
})

/** Everything a workshop holds, as one file. */
export type Exchange = ReadOnly<z.infer<typeof exchangeSchema>>
export type WorkshopData = Omit<Exchange, 'format' | 'version' | 'exportedAt'>
