import { z } from 'zod'
import { ok } from '../../codes/result'
import { latestHardnessOf } from '../../job/batch-figures'
import { id } from '../../shop/bounds'
import { stageSchema } from '../../shop/route'
import { experienceOf } from '../experience'
import { question } from '../question'
import { list } from '../shapes'

export const lately = question({
  summary: 'What the latest measurements of some batches say, steel by steel; null where nothing was measured',
  request: z.object({ batchIds: z.array(id).max(50).readonly(), learning: z.boolean() }),
  response: list(
    z.object({
      batchId: z.string(),
      groups: list(
        z.object({
          gradeName: z.string(),
          latest: z.object({ hrc: z.number(), stage: stageSchema }).nullable(),
        }),
      ),
    }),
  ),
  answer: ({ batchIds, learning }, memory) => {
    const { batches, readings, tester } = memory.log
    return ok(
      batches
        .filter(batch => batchIds.includes(batch.id))
        .map(batch => ({
          batchId: batch.id,
          groups: batch.groups.map(group => {
            const latest = latestHardnessOf(batch, group, {
              readings: readings.filter(r => r.batchId === batch.id),
              tester,
              experience: experienceOf(memory, batch, group, learning),
            })
            return { gradeName: group.gradeName, latest: latest && { hrc: latest.hrc, stage: latest.stage } }
          }),
        })),
    )
  },
})
