import * as z from 'zod/mini'
import { COST_KINDS, WORK_TASKS } from '../../../data/task-times'
import { ok } from '../../codes/result'
import { yearCost } from '../../cost/year-cost'
import { batchSchema } from '../../shop/batch'
import { between, id } from '../../shop/fields'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'

/** More batches than anybody heats in a year. */
const MOST_BATCHES = 1000

export const yearCosts = question({
  summary: 'What the batches of a year cost together, and each of them',
  request: z.object({
    batches: z.array(batchSchema).check(z.maxLength(MOST_BATCHES)),
    shop: workshopSchema,
    attendedMin: z.record(id, between(0, 100_000)),
  }),
  response: z.object({
    batches: list(
      z.object({
        batchId: z.string(),
        name: z.string(),
        at: z.string(),
        total: z.number(),
        perGood: z.number(),
        begun: z.int(),
        good: z.int(),
      }),
    ),
    costs: z.record(z.enum(COST_KINDS), z.number()),
    hours: z.record(z.enum(WORK_TASKS), z.number()),
    total: z.number(),
    begun: z.int(),
    good: z.int(),
    perGood: z.number(),
  }),
  answer: ({ batches, shop, attendedMin }) => ok(yearCost(batches, shop, attendedMin)),
})
