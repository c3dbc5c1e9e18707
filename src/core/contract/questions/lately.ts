import * as z from 'zod/mini'
import { latestHardnessOf } from '../../bench/batch-figures'
import { ok } from '../../codes/result'
import type { Hardness } from '../../hardness/hardness'
import { batchSchema } from '../../shop/batch'
import { readingSchema } from '../../shop/reading'
import { testerSchema } from '../../shop/workshop'
import { experienceOf } from '../experience'
import { question } from '../question'
import { list } from '../shapes'
import { hardnessSchema } from '../shapes/figures'

const briefOf = ({ hrc, u95, stage, by, degreesOfFreedom }: Hardness) => ({ hrc, u95, stage, by, degreesOfFreedom })

export const lately = question({
  summary: 'What the latest measurements of some batches say, steel by steel; null where nothing was measured',
  request: z.object({
    batches: z.readonly(z.array(batchSchema).check(z.maxLength(50))),
    readings: z.readonly(z.array(readingSchema).check(z.maxLength(20_000))),
    tester: testerSchema,
    learning: z.boolean(),
  }),
  response: list(
    z.object({
      batchId: z.string(),
      groups: list(
        z.object({
          groupId: z.string(),
          gradeName: z.string(),
          latest: z.nullable(
            z.pick(hardnessSchema, { hrc: true, u95: true, stage: true, by: true, degreesOfFreedom: true }),
          ),
        }),
      ),
    }),
  ),
  answer: ({ batches, readings, tester, learning }, memory) =>
    ok(
      batches.map(batch => ({
        batchId: batch.id,
        groups: batch.groups.map(group => {
          const latest = latestHardnessOf(batch, group, {
            readings: readings.filter(r => r.batchId === batch.id),
            tester,
            experience: experienceOf(memory, batch, group, learning),
          })
          return { groupId: group.id, gradeName: group.gradeName, latest: latest && briefOf(latest) }
        }),
      })),
    ),
})
