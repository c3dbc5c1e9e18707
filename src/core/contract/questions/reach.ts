import * as z from 'zod/mini'
import { reachOf } from '../../advice/reach'
import { ok } from '../../codes/result'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { routeSchema, targetSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { estimate, list, suggestCan } from '../shapes'
import { learntSchema } from '../shapes/learnt'

export const reach = question({
  summary: 'How near a grade comes to a target in this shop, what limits it, and which grades would reach it',
  request: z.object({
    grade: gradeSheetSchema,
    grades: z.readonly(z.array(gradeSheetSchema).check(z.maxLength(200))),
    target: targetSchema,
    can: z.extend(suggestCan, { oil: workshopSchema.shape.oil }),
    /** Which of the shop's readings it may lean on; absent: none. */
    learnt: z.optional(learntSchema),
  }),
  response: z.object({
    route: routeSchema,
    hrc: estimate,
    missHrc: z.number(),
    limits: list(
      z.object({
        what: z.enum(['cold', 'oven', 'secondary-peak', 'austenite', 'carbon']),
        gainHrc: z.number(),
        toC: z.nullable(z.number()),
      }),
    ),
    others: list(z.object({ id: z.string(), name: z.string(), hrc: z.number() })),
  }),
  answer: ({ learnt, ...request }, memory) =>
    ok(reachOf({ ...request, experience: memory.experience(learnt ?? null) })),
})
