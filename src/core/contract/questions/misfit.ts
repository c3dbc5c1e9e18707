import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { misfitOf } from '../../steel/misfit'
import { question } from '../question'
import { list } from '../shapes'

const row = z.object({ temperC: z.number(), chartHrc: z.number(), modelHrc: z.number() })

export const misfit = question({
  summary: 'How well a sheet’s chart and its composition agree; null without a chart',
  request: z.object({ grade: gradeSheetSchema }),
  response: z.nullable(
    z.object({
      rows: list(row),
      rmsHrc: z.number(),
      worst: row,
      doubt: z.nullable(
        z.discriminatedUnion('code', [
          z.object({ code: z.literal('whole-chart'), meanHrc: z.number() }),
          z.object({ code: z.literal('one-row'), temperC: z.number(), offHrc: z.number() }),
        ]),
      ),
    }),
  ),
  answer: ({ grade }) => ok(misfitOf(grade)),
})
