import { z } from 'zod'
import { ok } from '../../result'
import { type HardnessOffset, ovenOffset } from '../../steel/learn/oven-offset'
import { question } from '../question'
import { batchSchema, readingSchema } from '../schemas'

export const ovenOffsetQuestion = question({
  summary: 'How much hotter than it shows an oven acts, by the hardness that came out of it',
  request: z.object({
    batches: z.array(batchSchema).max(20_000),
    readings: z.array(readingSchema).max(500_000),
    oven: z.string().max(40),
  }),
  response: z.custom<HardnessOffset | null>(),
  answer: ({ batches, readings, oven }) => ok(ovenOffset(batches, readings, oven)),
})
