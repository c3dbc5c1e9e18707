import * as z from 'zod/mini'
import { COST_KINDS, WORK_TASKS } from '../../../data/task-times'
import { ok } from '../../codes/result'
import { batchCost } from '../../cost/batch-cost'
import { batchSchema } from '../../shop/batch'
import { between } from '../../shop/fields'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'

export const batchCosts = question({
  summary: 'What a batch costs by what it is paid for, and each blade that came out of it good',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    attendedMin: z.nullable(between(0, 100_000)),
  }),
  response: z.object({
    costs: z.record(z.enum(COST_KINDS), z.number()),
    hours: z.record(z.enum(WORK_TASKS), z.number()),
    runMeasured: z.boolean(),
    total: z.number(),
    begun: z.int(),
    good: z.int(),
    perGood: z.number(),
    lostShare: z.number(),
    foil: z.enum(['cut', 'by-hand', 'plan', 'area']),
    blades: list(z.object({ bladeId: z.string(), own: z.number(), ofLost: z.number() })),
  }),
  answer: request => ok(batchCost(request)),
})
