import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { between, bounded } from '../../shop/fields'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { routeSchema, targetSchema } from '../../shop/route'
import { suggestRoute } from '../../steel/suggest'
import { SYSTEMS } from '../../units/quantity'
import { question } from '../question'

export const suggestedRoute = question({
  summary: 'A first route for a grade to a target, with the cold and the oven this shop has',
  request: z.object({
    grade: gradeSheetSchema,
    target: targetSchema,
    can: z.object({
      coldToC: z.nullable(bounded('coldC')),
      ovenMaxC: between(500, 1400),
      thicknessMm: bounded('bladeThicknessMm'),
      system: z.enum(SYSTEMS),
    }),
  }),
  response: routeSchema,
  answer: ({ grade, target, can }) => ok(suggestRoute(grade, target, can)),
})
