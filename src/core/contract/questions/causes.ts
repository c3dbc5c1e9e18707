import * as z from 'zod/mini'
import { CAUSE_NAMES } from '../../../data/causes'
import { causesOf } from '../../advice/causes'
import { ok } from '../../codes/result'
import { between } from '../../shop/fields'
import { routeSchema, stageSchema } from '../../shop/route'
import { question, steelOf } from '../question'
import { list, steelSchema } from '../shapes'

export const causes = question({
  summary: 'Why a reading is off its prediction, likeliest first, and what would tell',
  request: z.object({
    steel: steelSchema,
    route: routeSchema,
    stage: stageSchema,
    measured: z.object({ mean: between(5, 70), sd: between(0.01, 20) }),
    dueHrc: z.optional(between(5, 75)),
    checked: z.boolean(),
    leakSeen: z.boolean(),
    loggedSoakShare: z.optional(between(0, 100)),
  }),
  response: list(z.object({ cause: z.enum(CAUSE_NAMES), probability: z.number(), givesHrc: z.number() })),
  answer: ({ steel, ...rest }) => ok(causesOf({ ...rest, steel: steelOf(steel) })),
})
