import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { versionOutcomes } from '../../logbook/recipe-versions'
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
      meanHrc: z.nullable(z.number()),
      inTarget: count,
      edges: count,
      against: z.nullable(
        z.object({
          number: z.int(),
          hardness: z.nullable(z.extend(band, { p: z.number() })),
          edges: z.nullable(band),
        }),
      ),
    }),
  ),
  answer: ({ recipe }, { log }) => ok(versionOutcomes(recipe, log)),
})
