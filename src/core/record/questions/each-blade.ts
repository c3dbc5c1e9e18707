import { z } from 'zod'
import { ok } from '../../result'
import { type EachBlade, eachBlade } from '../../verdict/each-blade'
import { blockSchema } from '../api'
import { bounded } from '../bounds'
import { question } from '../question'
import { batchSchema, readingSchema } from '../schemas'

export const eachBladeQuestion = question({
  summary: 'What each blade of a batch needs by its own readings, and which go on together',
  request: z.object({
    batch: batchSchema,
    readings: z.array(readingSchema).max(20_000),
    block: blockSchema.nullable(),
    can: z.object({ coldToC: bounded('coldC').nullable(), anneal: z.boolean() }),
  }),
  response: z.custom<EachBlade>(),
  answer: ({ batch, readings, block, can }) => ok(eachBlade(batch, readings, block, can)),
})
