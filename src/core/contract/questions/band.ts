import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { wholeBetween } from '../../shop/fields'
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
  request: z.extend(predictRequest, {
    draws: wholeBetween(10, 20_000),
    seed: z.int(),
    target: z.nullable(targetSchema),
    learnt: learntSchema,
  }),
  response: z.object({
    draws: z.int(),
    hrc: quantiles,
    retained: quantiles,
    chromium: quantiles,
    inTarget: z.nullable(z.number()),
    /** Whether the shop's own readings are in it. */
    learnt: z.boolean(),
    histogram: list(z.readonly(z.tuple([z.number(), z.number()]))),
  }),
  answer: ({ steel, learnt, ...rest }, memory) => {
    const shop = memory.experience(learnt)
    return ok({ ...bandOf({ ...rest, steel: steelOf(steel), shop }), learnt: shop !== null })
  },
})
