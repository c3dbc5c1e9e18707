import * as z from 'zod/mini'
import { fail, ok } from '../../codes/result'
import { batchSchema } from '../../shop/batch'
import { id } from '../../shop/fields'
import { ovenLogSchema } from '../../shop/oven-log'
import { routeSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { gradeOf } from '../../steel/grades'
import { loggedRoute as routeOf } from '../../trace/logged-heat'
import { question } from '../question'
import { list } from '../shapes'

const points = list(z.readonly(z.tuple([z.number(), z.number()])))

export const loggedRoute = question({
  summary: 'A steel’s route as the logs of its batch show it; what was not logged is null',
  request: z.object({
    batch: batchSchema,
    groupId: id,
    shop: z.pick(workshopSchema, { ovens: true, units: true }),
    /** Newest first. */
    logs: z.readonly(z.array(ovenLogSchema).check(z.maxLength(100))),
  }),
  response: z.object({
    heat: z.nullable(
      z.object({
        loadedMin: z.number(),
        pulledMin: z.number(),
        arrivedMin: z.nullable(z.number()),
        atHeatMin: z.number(),
        aboveMin: z.number(),
        bladePeakC: z.number(),
        overshootK: z.number(),
        effectiveSoakMin: z.number(),
        doseC: z.nullable(z.number()),
        soakAtDoseMin: z.number(),
        blade: points,
      }),
    ),
    tempers: list(
      z.nullable(
        z.object({
          inMin: z.number(),
          outMin: z.number(),
          arrivedMin: z.nullable(z.number()),
          atHeatMin: z.number(),
          aboveMin: z.number(),
          bladePeakC: z.number(),
          overshootK: z.number(),
          effectiveMin: z.number(),
          dose: z.object({ atC: z.number(), holdMin: z.number() }),
          blade: points,
        }),
      ),
    ),
    route: z.nullable(routeSchema),
  }),
  answer: ({ batch, groupId, shop, logs }) => {
    const group = batch.groups.find(one => one.id === groupId)
    const grade = group && gradeOf(group)
    if (!group || !grade) return fail('grade-gone', { gradeNames: group ? [group.gradeName] : [] }, 'groupId')
    return ok(routeOf(logs, batch, group, grade, shop))
  },
})
