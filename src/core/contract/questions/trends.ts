import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { TREND_BY } from '../../logbook/trend-by'
import { trendsOf } from '../../logbook/trends'
import { question } from '../question'
import { list } from '../shapes'

export const trends = question({
  summary: 'Finished blades batch by batch, sorted out by steel, recipe, oven or lot',
  request: z.object({ by: z.enum(TREND_BY) }),
  response: list(
    z.object({
      key: z.string(),
      name: z.string(),
      points: list(
        z.object({
          at: z.string(),
          batch: z.string(),
          batchId: z.string(),
          hrc: z.number(),
          off: z.nullable(z.number()),
          blades: z.int(),
          target: z.object({ min: z.number(), max: z.number() }),
        }),
      ),
    }),
  ),
  answer: ({ by }, { log }) => ok(trendsOf(log.readings, log.batches, log.tester, by)),
})
