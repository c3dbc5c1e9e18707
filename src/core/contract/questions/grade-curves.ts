import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { routeSchema } from '../../shop/route'
import { rangeEffects, soakCurve } from '../../steel/grade-curves'
import { question } from '../question'
import { list } from '../shapes'

export const gradeCurves = question({
  summary: 'A grade over its austenitize temperature, and what its mill’s range does',
  request: z.object({ grade: gradeSheetSchema, route: routeSchema }),
  response: z.object({
    soak: list(
      z.object({
        atC: z.number(),
        noCold: z.number(),
        dryIce: z.number(),
        nitrogen: z.number(),
        retained: z.number(),
      }),
    ),
    range: list(
      z.object({
        element: z.string(),
        least: z.number(),
        nominal: z.number(),
        most: z.number(),
        hrcAtLeast: z.number(),
        hrcAtMost: z.number(),
      }),
    ),
  }),
  answer: ({ grade, route }) => ok({ soak: soakCurve(grade, route.soakMin), range: rangeEffects(grade, route) }),
})
