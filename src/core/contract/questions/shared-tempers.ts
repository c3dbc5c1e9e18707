import * as z from 'zod/mini'
import { sharedTempers as plansOf } from '../../bench/shared-tempers'
import { batchSchema } from '../../shop/batch'
import { workshopSchema } from '../../shop/workshop'
import { experienceOf } from '../experience'
import { question } from '../question'
import { list } from '../shapes'

export const sharedTempers = question({
  summary:
    'Shorter plans of a batch’s tempers, in which steels at nearly one temperature share their loads, and what it costs in hardness',
  request: z.object({ batch: batchSchema, shop: workshopSchema }),
  response: list(
    z.object({
      withinK: z.number(),
      loads: z.int(),
      totalMin: z.number(),
      changes: list(
        z.object({
          groupId: z.string(),
          gradeName: z.string(),
          fromC: z.number(),
          toC: z.number(),
          holdMin: z.number(),
          fromHrc: z.number(),
          hrc: z.number(),
          fromChance: z.nullable(z.number()),
          chance: z.nullable(z.number()),
        }),
      ),
    }),
  ),
  answer: ({ batch, shop }, memory) =>
    plansOf(batch, shop, group => experienceOf(memory, batch, group, shop.learning !== false)),
})
