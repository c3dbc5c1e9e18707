import { z } from 'zod'
import { ok } from '../../codes/result'
import { type EachBlade, eachBlade } from '../../job/each-blade'
import { batchSchema } from '../../shop/batch'
import { bounded } from '../../shop/bounds'
import { readingSchema } from '../../shop/reading'
import { testerSchema } from '../../shop/workshop'
import { question } from '../question'
import { shopExperienceSchema } from '../shop-experience'

export const eachBladeQuestion = question({
  summary: 'What each blade of a batch needs by its own readings, and which go on together',
  request: z.object({
    batch: batchSchema,
    readings: z.array(readingSchema).max(20_000),
    tester: testerSchema,
    learnt: z.record(z.string(), shopExperienceSchema.nullable()),
    can: z.object({ coldToC: bounded('coldC').nullable(), anneal: z.boolean() }),
  }),
  response: z.custom<EachBlade>(),
  answer: ({ learnt, ...rest }) => ok(eachBlade({ ...rest, experienceOf: groupId => learnt[groupId] ?? null })),
})
