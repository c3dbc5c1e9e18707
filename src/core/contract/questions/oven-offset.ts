import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { ovenOffset as offsetOf } from '../../learn/oven-offset'
import { id } from '../../shop/fields'
import { question } from '../question'

export const ovenOffset = question({
  summary: 'How much hotter than it shows an oven acts, by the hardness that came out of it',
  request: z.object({ ovenId: id }),
  response: z.nullable(
    z.object({
      offsetK: z.number(),
      sdK: z.number(),
      atC: z.number(),
      readings: z.int(),
      batches: z.int(),
    }),
  ),
  answer: ({ ovenId }, { log }) => ok(offsetOf(log.batches, log.readings, log.tester, ovenId)),
})
