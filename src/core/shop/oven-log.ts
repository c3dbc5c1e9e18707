import { z } from 'zod'
import { between, bounded, id, instant, MOST, textUpTo } from './bounds'
import type { ReadOnly } from './read-only'

/** A measured log of an oven, thinned to what is drawn and computed from. */
export const ovenLogSchema = z.object({
  id,
  ovenId: id,
  /** The batch that was in; null: an oven's own run. */
  batchId: id.nullable(),
  /** Which of its loads: the hardening heat (0) or a round of tempering, and the groups that were in; null: none of a batch's. */
  load: z.object({ temper: z.int().min(0).max(MOST.tempers), groupIds: z.array(id).max(MOST.groups) }).nullable(),
  name: textUpTo('fileName'),
  addedAt: instant,
  /** [minutes from the first sample, what the display showed, °C]. */
  points: z
    .array(z.tuple([bounded('logMin'), between(-50, 1400)]))
    .min(2)
    .max(6000),
  /** When blades went in and the first came out, minutes into the log; null: read off the log. */
  loadedMin: bounded('logMin').nullable(),
  pulledMin: bounded('logMin').nullable(),
  /** When it was taken off; absent or null: it is there. */
  deletedAt: instant.nullable().optional(),
})

export type OvenLog = ReadOnly<z.infer<typeof ovenLogSchema>>

/** Whether a log is there: one that was taken off rests until it is brought back. */
export const isThere = ({ deletedAt }: Pick<OvenLog, 'deletedAt'>): boolean => !deletedAt
