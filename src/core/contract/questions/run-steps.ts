import * as z from 'zod/mini'
import { temperLoadsOf } from '../../load/loads'
import { buildRunSteps, buildTemperRun } from '../../run-plan/run-steps'
import { batchSchema } from '../../shop/batch'
import { MOST } from '../../shop/bounds'
import { id, wholeBetween } from '../../shop/fields'
import { runBladeSchema, runStepSchema } from '../../shop/run'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'

export const runSteps = question({
  summary: 'The hot run of a batch as single actions, or of the tempers that are still to do',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    /** Tempers each blade has had, where only what is left of them is run; null: all of it. */
    tempersDone: z.nullable(z.record(id, wholeBetween(0, MOST.tempers))),
  }),
  response: z.object({ steps: list(runStepSchema), blades: list(runBladeSchema) }),
  answer: ({ batch, shop, tempersDone }) => {
    if (tempersDone) return buildTemperRun(temperLoadsOf(batch, new Map(Object.entries(tempersDone))), shop, batch)
    return buildRunSteps(batch, shop)
  },
})
