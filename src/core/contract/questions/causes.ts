import { z } from 'zod'
import { ok } from '../../codes/result'
import { type Cause, causesOf } from '../../job/causes'
import { between } from '../../shop/bounds'
import { routeSchema, stageSchema } from '../../shop/route'
import { steelSchema } from '../api'
import { question, steelOf } from '../question'

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
