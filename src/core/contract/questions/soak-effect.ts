import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { soakEffect } from '../../hardness/soak-effect'
import { batchSchema } from '../../shop/batch'
import { bounded, id } from '../../shop/fields'
import { question } from '../question'

export const soakEffects = question({
  summary: 'What a soak of another length than planned does to the blades of a group',
  request: z.object({ groups: batchSchema.shape.groups, groupId: id, soakMin: bounded('soakMin') }),
  response: z.nullable(
    z.object({
      groupId: z.string(),
      soakMin: z.number(),
      hrcChange: z.number(),
      austeniteChange: z.number(),
      coarsens: z.boolean(),
    }),
  ),
  answer: ({ groups, groupId, soakMin }) => {
    const group = groups.find(one => one.id === groupId)
    return ok(group ? soakEffect(group, soakMin) : null)
  },
})
