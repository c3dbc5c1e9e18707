import { z } from 'zod'
import { fail, ok } from '../../codes/result'
import { loggedRoute as routeOf } from '../../job/logged-heat'
import { batchSchema } from '../../shop/batch'
import { id } from '../../shop/bounds'
import { ovenLogSchema } from '../../shop/oven-log'
import { routeSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { gradeOf } from '../../steel/grades'
import { question } from '../question'
import { list } from '../shapes'

const points = list(z.tuple([z.number(), z.number()]).readonly())

export const loggedRoute = question({
  summary: 'A steel’s route as the logs of its batch show it; what was not logged is null',
  request: z.object({
    batch: batchSchema,
    groupId: id,
    shop: workshopSchema.pick({ ovens: true, units: true }),
    /** Newest first. */
    logs: z.array(ovenLogSchema).max(100).readonly(),
  }),
  response: z.object({
    heat: z
      .object({
        loadedMin: z.number(),
        pulledMin: z.number(),
        arrivedMin: z.number().nullable(),
        atHeatMin: z.number(),
        aboveMin: z.number(),
        bladePeakC: z.number(),
        overshootK: z.number(),
        effectiveSoakMin: z.number(),
        doseC: z.number().nullable(),
        soakAtDoseMin: z.number(),
        blade: points,
      })
      .nullable(),
    tempers: list(
      z
        .object({
          inMin: z.number(),
          outMin: z.number(),
          arrivedMin: z.number().nullable(),
          atHeatMin: z.number(),
          aboveMin: z.number(),
          bladePeakC: z.number(),
          overshootK: z.number(),
          effectiveMin: z.number(),
          dose: z.object({ atC: z.number(), holdMin: z.number() }),
          blade: points,
        })
        .nullable(),
    ),
    route: routeSchema.nullable(),
  }),
  answer: ({ batch, groupId, shop, logs }) => {
    const group = batch.groups.find(one => one.id === groupId)
    const grade = group && gradeOf(group)
    if (!group || !grade) return fail('grade-gone', { gradeNames: group ? [group.gradeName] : [] }, 'groupId')
    return ok(routeOf(logs, batch, group, grade, shop))
  },
})
