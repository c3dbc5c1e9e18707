import { z } from 'zod'
import { ok } from '../../result'
import { type Cause, causesOf } from '../../verdict/causes'
import { steelSchema } from '../api'
import { between } from '../bounds'
import { question, steelOf } from '../question'
import { routeSchema, stageSchema } from '../schemas'

export const causes = question({
  summary: 'Why a reading is off its prediction, likeliest first, and what would tell',
  request: z.object({
    steel: steelSchema,
    route: routeSchema,
    stage: stageSchema,
    measured: z.object({ mean: between(5, 70), sd: between(0.01, 20) }),
    dueHrc: between(5, 75).optional(),
    checked: z.boolean(),
    leakSeen: z.boolean(),
    loggedSoakShare: z.number().min(0).max(100).optional(),
  }),
  response: z.custom<Cause[]>(),
  answer: ({ steel, ...rest }) => ok(causesOf({ ...rest, steel: steelOf(steel) })),
})
