import { z } from 'zod'
import { ok } from '../../codes/result'
import { temperCurve as curveOf } from '../../steel/temper-curve'
import { predictRequest } from '../api'
import { question, steelOf } from '../question'
import { shopExperienceSchema } from '../shop-experience'

export const temperCurve = question({
  summary: 'Finished hardness against temper temperature',
  request: predictRequest.extend({ shop: shopExperienceSchema.nullable() }),
  response: z.array(z.object({ atC: z.number(), mean: z.number(), sd: z.number() })).readonly(),
  answer: ({ steel, route, shop }) => ok(curveOf(steelOf(steel), route, shop)),
})
