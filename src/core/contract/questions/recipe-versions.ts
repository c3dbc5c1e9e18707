import { z } from 'zod'
import { ok } from '../../codes/result'
import { versionOutcomes } from '../../job/recipe-versions'
import { recipeSchema } from '../../shop/recipe'
import { question } from '../question'
import { list } from '../shapes'

const count = z.object({ count: z.int(), of: z.int() })
const band = z.object({ difference: z.number(), from: z.number(), to: z.number() })

export const recipeVersions = question({
  summary: 'What the blades came to that went the route of each version of a recipe',
  request: z.object({ recipe: recipeSchema }),
  response: list(
    z.object({
      number: z.int(),
      batches: z.int(),
      blades: z.int(),
      meanHrc: z.number().nullable(),
      inTarget: count,
      edges: count,
      against: z
        .object({
          number: z.int(),
          hardness: band.extend({ p: z.number() }).nullable(),
          edges: band.nullable(),
        })
        .nullable(),
    }),
  ),
  answer: ({ recipe }, { log }) => ok(versionOutcomes(recipe, log)),
})
