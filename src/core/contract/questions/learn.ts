import { z } from 'zod'
import { ok } from '../../codes/result'
import { groupBy } from '../../job/logbook'
import { fitShop, type ShopFit } from '../../learn/fit-shop'
import { observationsOf } from '../../learn/observations'
import { batchSchema } from '../../shop/batch'
import { readingSchema } from '../../shop/reading'
import { testerSchema } from '../../shop/workshop'
import { question } from '../question'

export const learn = question({
  summary: 'What the shop’s own readings teach, and whether it helps',
  request: z.object({
    batches: z.array(batchSchema),
    readings: z.array(readingSchema),
    tester: testerSchema,
    exceptBatchId: z.string().nullable(),
  }),
  response: z.custom<ShopFit | null>(),
  answer: ({ batches, readings, tester, exceptBatchId }) => {
    const byBatch = groupBy(readings, r => r.batchId)
    return ok(
      fitShop(
        batches
          .filter(batch => batch.id !== exceptBatchId)
          .flatMap(batch => observationsOf(batch, byBatch.get(batch.id) ?? [], tester)),
      ),
    )
  },
})
