import { z } from 'zod'
import { ok } from '../../codes/result'
import { targetSchema } from '../../shop/route'
import { bandOf } from '../../steel/band'
import { question, steelOf } from '../question'
import { list, predictRequest } from '../shapes'
import { learntSchema } from '../shapes/learnt'

const quantiles = z.object({
  low95: z.number(),
  low68: z.number(),
  median: z.number(),
  high68: z.number(),
  high95: z.number(),
})

export const band = question({
  summary: 'The band of a finished blade, drawn over what varies',
  request: predictRequest.extend({
    draws: z.int().min(10).max(20_000),
    seed: z.int(),
    target: targetSchema.nullable(),
    learnt: learntSchema,
  }),
  response: z.object({
    draws: z.int(),
    hrc: quantiles,
    retained: quantiles,
    chromium: quantiles,
    inTarget: z.number().nullable(),
    /** Whether the shop's own readings are in it. */
    learnt: z.boolean(),
    histogram: list(z.tuple([z.number(), z.number()]).readonly()),
  }),
  answer: ({ steel, learnt, ...rest }, memory) => {
    const shop = memory.experience(learnt)
    return ok({ ...bandOf({ ...rest, steel: steelOf(steel), shop }), learnt: shop !== null })
  },
})
