import * as z from 'zod/mini'
import { heatOfLoad } from '../../load/load-heat'
import { batchSchema } from '../../shop/batch'
import { MOST } from '../../shop/bounds'
import { between, wholeBetween } from '../../shop/fields'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { cautionSchema, list } from '../shapes'

const lag = z.object({ climbMin: z.number(), rateCPerH: z.number(), lagS: z.number(), afterLoadingS: z.number() })

export const loadHeat = question({
  summary: 'One load of a batch on its oven: when each blade is there, how far behind the oven it is, and the energy',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    loadIndex: wholeBetween(0, MOST.bladesInBatch),
    thicknessMm: between(0.3, 100),
  }),
  response: z.object({
    kinds: list(
      z.object({
        lineId: z.string(),
        bladeIds: list(z.string()),
        thicknessMm: z.number(),
        widthMm: z.number(),
        lengthMm: z.number(),
        count: z.int(),
        view: z.number(),
        withinFiveCMin: z.nullable(z.number()),
      }),
    ),
    fromMin: z.number(),
    reachedMin: z.nullable(z.number()),
    energyKWh: z.number(),
    leftOut: list(z.string()),
    cautions: list(cautionSchema),
    alone: lag,
    crowded: lag,
    edge: z.nullable(z.object({ edgeMm: z.number(), leadS: z.number() })),
  }),
  answer: heatOfLoad,
})
