import * as z from 'zod/mini'

/** Which of the shop's readings a prediction may lean on; null: on none. */
export const learntSchema = z.nullable(
  z.object({
    lot: z.string().check(z.maxLength(120)),
    ovenId: z.string().check(z.maxLength(120)),
    exceptBatchId: z.nullable(z.string().check(z.maxLength(120))),
  }),
)
