import * as z from 'zod/mini'
import { reachOf } from '../../advice/reach'
import { ok } from '../../codes/result'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { targetSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { reachResponse, suggestCan } from '../shapes'
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
  response: reachResponse,
  answer: ({ learnt, ...request }, memory) =>
    ok(reachOf({ ...request, experience: memory.experience(learnt ?? null) })),
})
