import { z } from 'zod'
import { ok } from '../../codes/result'
import { targetSchema } from '../../shop/route'
import { bandOf } from '../../steel/band'
import { list, predictRequest } from '../api'
import { question, steelOf } from '../question'
import { shopExperienceSchema } from '../shop-experience'

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
    shop: shopExperienceSchema.nullable(),
  }),
  response: z.object({
    draws: z.int(),
    hrc: quantiles,
    retained: quantiles,
    chromium: quantiles,
    inTarget: z.number().nullable(),
    histogram: list(z.tuple([z.number(), z.number()]).readonly()),
  }),
  answer: ({ steel, ...rest }) => ok(bandOf({ ...rest, steel: steelOf(steel) })),
})
