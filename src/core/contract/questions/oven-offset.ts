import { z } from 'zod'
import { ok } from '../../codes/result'
import { type HardnessOffset, ovenOffset } from '../../learn/oven-offset'
import { batchSchema } from '../../shop/batch'
import { readingSchema } from '../../shop/reading'
import { testerSchema } from '../../shop/workshop'
import { question } from '../question'

export const ovenOffsetQuestion = question({
  summary: 'How much hotter than it shows an oven acts, by the hardness that came out of it',
  request: z.object({
    batches: z.array(batchSchema).max(20_000),
    readings: z.array(readingSchema).max(500_000),
    tester: testerSchema,
    ovenId: z.string().max(120),
  }),
  response: z.custom<HardnessOffset | null>(),
  answer: ({ batches, readings, tester, ovenId }) => ok(ovenOffset(batches, readings, tester, ovenId)),
})
