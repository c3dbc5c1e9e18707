import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { routeSchema, targetSchema } from '../../shop/route'
import { suggestRoute } from '../../steel/suggest'
import { question } from '../question'
import { suggestCan } from '../shapes'

export const suggestedRoute = question({
  summary: 'A first route for a grade to a target, with the cold and the oven this shop has',
  request: z.object({
    grade: gradeSheetSchema,
    target: targetSchema,
    can: suggestCan,
  }),
  response: routeSchema,
  answer: ({ grade, target, can }) => ok(suggestRoute(grade, target, can)),
})
