import { z } from 'zod'
import { ok } from '../../codes/result'
import { chamberOf } from '../../job/chambers'
import { ovenSchema } from '../../shop/oven'
import { question } from '../question'
import { ovenPresetSchema } from '../shapes/figures'

export const chamber = question({
  summary: 'An oven as one node: where full power would settle, and how slowly it comes there and cools',
  request: z.object({ oven: ovenSchema }),
  response: ovenPresetSchema,
  answer: ({ oven }) => ok(chamberOf(oven)),
})
