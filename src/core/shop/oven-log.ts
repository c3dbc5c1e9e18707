import * as z from 'zod/mini'
import { MOST } from './bounds'
import { between, bounded, id, instant, textUpTo, wholeBetween } from './fields'
import type { ReadOnly } from './read-only'

/** A measured log of an oven, thinned to what is drawn and computed from. */
export const ovenLogSchema = z.object({
  id,
  ovenId: id,
  /** The batch that was in; null: an oven's own run. */
  batchId: z.nullable(id),
  /** Which of its loads: the hardening heat (0) or a round of tempering, and the groups that were in; null: none of a batch's. */
  load: z.nullable(
    z.object({ temper: wholeBetween(0, MOST.tempers), groupIds: z.array(id).check(z.maxLength(MOST.groups)) }),
  ),
  name: textUpTo('fileName'),
  addedAt: instant,
  /** [minutes from the first sample, what the display showed, °C]. */
  points: z.array(z.tuple([bounded('logMin'), between(-50, 1400)])).check(z.minLength(2), z.maxLength(6000)),
  /** When blades went in and the first came out, minutes into the log; null: read off the log. */
  loadedMin: z.nullable(bounded('logMin')),
  pulledMin: z.nullable(bounded('logMin')),
  /** When it was taken off; absent or null: it is there. */
  deletedAt: z.optional(z.nullable(instant)),
})

export type OvenLog = ReadOnly<z.infer<typeof ovenLogSchema>>
