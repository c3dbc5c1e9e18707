import { z } from 'zod'
import { ok } from '../../result'
import { fitShop, type ShopFit } from '../../steel/learn/fit-shop'
import { observationsOf } from '../../steel/learn/observations'
import { question } from '../question'
import { batchSchema, readingSchema } from '../schemas'

export const learn = question({
  summary: 'What the shop’s own readings teach, and whether it helps',
  request: z.object({
    batches: z.array(batchSchema),
    readings: z.array(readingSchema),
    exceptBatchId: z.string().nullable(),
  }),
  response: z.custom<ShopFit | null>(),
  answer: ({ batches, readings, exceptBatchId }) => ok(fitShop(observationsOf(batches, readings, exceptBatchId))),
})
