import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { chamberOf } from '../../equipment/chambers'
import { ovenSchema } from '../../shop/oven'
import { question } from '../question'
import { ovenPresetSchema } from '../shapes/figures'

export const chamber = question({
  summary: 'What an oven does by its wall model: its climb at full power and its falls with the door shut',
  request: z.object({ oven: ovenSchema }),
  response: ovenPresetSchema,
  answer: ({ oven }) => ok(chamberOf(oven)),
})
