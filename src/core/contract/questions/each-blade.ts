import * as z from 'zod/mini'
import { eachBlade as judge } from '../../advice/each-blade'
import { ok } from '../../codes/result'
import { batchSchema } from '../../shop/batch'
import { readingSchema } from '../../shop/reading'
import { stageSchema } from '../../shop/route'
import { testerSchema } from '../../shop/workshop'
import { experienceOf } from '../experience'
import { question } from '../question'
import { adviceCan, list, optionSchema } from '../shapes'

export const eachBlade = question({
  summary: 'What each blade of a batch needs by its own readings, and which go on together',
  request: z.object({
    batch: batchSchema,
    readings: z.readonly(z.array(readingSchema).check(z.maxLength(20_000))),
    tester: testerSchema,
    can: adviceCan,
    /** Whether the shop's readings of other batches are leant on. */
    learning: z.boolean(),
  }),
  response: z.object({
    needs: list(
      z.object({
        bladeId: z.string(),
        groupId: z.string(),
        stage: stageSchema,
        measured: z.number(),
        u95: z.number(),
        best: optionSchema,
        readOn: z.boolean(),
        grindFirst: z.boolean(),
      }),
    ),
    groups: list(
      z.object({
        kind: optionSchema.shape.kind,
        temper: optionSchema.shape.temper,
        cold: optionSchema.shape.cold,
        bladeIds: list(z.string()),
        fromHrc: z.number(),
        toHrc: z.number(),
        leastProbability: z.number(),
        first: optionSchema,
      }),
    ),
    unread: list(z.string()),
  }),
  answer: ({ learning, ...rest }, memory) =>
    ok(judge({ ...rest, experienceOf: group => experienceOf(memory, rest.batch, group, learning) })),
})
