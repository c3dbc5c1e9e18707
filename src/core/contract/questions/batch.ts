import * as z from 'zod/mini'
import { batchFiguresOf } from '../../bench/batch-figures'
import { ok } from '../../codes/result'
import { batchSchema } from '../../shop/batch'
import { readingSchema } from '../../shop/reading'
import { routeSchema, stageSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { experienceOf } from '../experience'
import { question } from '../question'
import { list } from '../shapes'
import {
  daySchema,
  hardnessSchema,
  ovenPresetSchema,
  predictionSchema,
  pullPlanSchema,
  result,
  segmentSchema,
  stretchSchema,
} from '../shapes/figures'
import { figureSchema } from '../shapes/responses'

const stageHardness = z.object({
  stage: stageSchema,
  predicted: z.number(),
  measured: z.nullable(z.number()),
  expected: z.number(),
})
const soakChange = z.object({ groupId: z.string(), gradeName: z.string(), fromC: z.number(), hrc: z.number() })

export const batch = question({
  summary: 'A batch in its shop: predictions, measured hardness, the line of its heat, and what is keyed',
  request: z.object({ batch: batchSchema, shop: workshopSchema, readings: list(readingSchema) }),
  response: z.object({
    groups: list(
      z.object({
        groupId: z.string(),
        prediction: predictionSchema,
        chance: figureSchema,
        suggested: z.pick(routeSchema, { austenitizeC: true, soakMin: true, cold: true, tempers: true }),
        stretches: list(stretchSchema),
        stages: list(stageHardness),
        measured: list(hardnessSchema),
      }),
    ),
    expected: z.record(z.string(), list(z.object({ groupId: z.string(), hrc: z.number() }))),
    programmes: z.record(z.string(), result(list(segmentSchema))),
    pulls: z.record(z.string(), pullPlanSchema),
    day: z.nullable(daySchema),
    shared: z.nullable(z.object({ atC: z.number(), changes: list(soakChange) })),
    chamber: z.nullable(ovenPresetSchema),
  }),
  answer: ({ batch, shop, readings }, memory) =>
    ok(
      batchFiguresOf({
        batch,
        shop,
        readings,
        experienceOf: group => experienceOf(memory, batch, group, shop.learning !== false),
      }),
    ),
})
