import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { question } from '../question'
import { lessonSchema } from '../shapes/figures'

export const learn = question({
  summary: 'What the shop’s own readings teach, and whether it helps; null where there is nothing to learn from',
  request: z.object({}),
  response: z.nullable(lessonSchema),
  answer: (_, memory) => {
    const fit = memory.fitExcept(null)
    return ok(
      fit && {
        helps: fit.model.strength > 0,
        heldOut: fit.heldOut,
        byGrade: fit.byGrade,
        setAside: fit.setAside.length,
        strange: fit.strange,
        batchSdHrc: fit.model.batchSdHrc,
      },
    )
  },
})
