import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { between } from '../../shop/fields'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { TALES } from '../../steel/folklore'
import { tellTale } from '../../steel/tell-tale'
import { question } from '../question'
import { list } from '../shapes'

const FIGURES = ['hardness', 'chromium', 'retained', 'fresh', 'grain'] as const

export const tale = question({
  summary: 'What the model says of a piece of folklore at a setting of its knob',
  request: z.object({ tale: z.enum(TALES), grade: gradeSheetSchema, at: between(-300, 1400) }),
  response: z.object({
    figures: list(
      z.object({
        name: z.enum(FIGURES),
        along: list(z.readonly(z.tuple([z.number(), z.number()]))),
        now: z.number(),
      }),
    ),
    seen: z.discriminatedUnion('code', [
      z.object({ code: z.literal('rust-not-hardness'), movesHrc: z.number() }),
      z.object({ code: z.literal('not-stainless'), chromium: z.number() }),
      z.object({ code: z.literal('cold-turns'), share: z.number(), gainHrc: z.number() }),
      z.object({ code: z.literal('fresh-martensite'), share: z.number() }),
      z.object({ code: z.literal('chromium-lost'), share: z.number() }),
      z.object({ code: z.literal('chromium-stays') }),
      z.object({ code: z.literal('hotter-softer'), hardestC: z.number(), coarse: z.boolean() }),
      z.object({ code: z.literal('hardest-near'), hardestC: z.number() }),
    ]),
  }),
  answer: ({ tale, grade, at }) => ok(tellTale(tale, grade, at)),
})
