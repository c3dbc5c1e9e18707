import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { batchDayOf } from '../../run-plan/batch-day'
import { batchSchema } from '../../shop/batch'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'

export const days = question({
  summary: 'How long each of some batches takes from oven on to its last temper; null where it cannot be said',
  request: z.object({ batches: z.readonly(z.array(batchSchema).check(z.maxLength(50))), shop: workshopSchema }),
  response: list(z.object({ batchId: z.string(), totalMin: z.nullable(z.number()) })),
  answer: ({ batches, shop }) =>
    ok(
      batches.map(batch => {
        const day = batchDayOf(batch, shop)
        return { batchId: batch.id, totalMin: day.ok ? day.value.totalMin : null }
      }),
    ),
})
