import { z } from 'zod'

/** Which of the shop's readings a prediction may lean on; null: on none. */
export const learntSchema = z
  .object({
    lot: z.string().max(120),
    ovenId: z.string().max(120),
    exceptBatchId: z.string().max(120).nullable(),
  })
  .nullable()
