import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { measuredBladesOf } from '../../hardness/measured-blades'
import { batchSchema } from '../../shop/batch'
import { readingSchema } from '../../shop/reading'
import { testerSchema } from '../../shop/workshop'
import { experienceOf } from '../experience'
import { question } from '../question'
import { list } from '../shapes'
import { hardnessSchema } from '../shapes/figures'

export const measured = question({
  summary: 'How hard each blade of a steel is at each stage it was measured at',
  request: z.object({
    batch: batchSchema,
    groupId: z.string(),
    readings: list(readingSchema),
    tester: testerSchema,
    /** Whether the shop's readings of other batches are leant on. */
    learning: z.boolean(),
  }),
  response: z.object({ blades: z.record(z.string(), list(hardnessSchema)) }),
  answer: ({ batch, groupId, readings, tester, learning }, memory) => {
    const group = batch.groups.find(one => one.id === groupId)
    return ok({
      blades: group
        ? measuredBladesOf(batch, group, {
            readings,
            tester,
            experience: experienceOf(memory, batch, group, learning),
          })
        : {},
    })
  },
})
