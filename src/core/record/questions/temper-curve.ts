import { z } from 'zod'
import { ok } from '../../result'
import { temperCurve as curveOf } from '../../steel/temper-curve'
import { predictRequest } from '../api'
import { question, steelOf } from '../question'

export const temperCurve = question({
  summary: 'Finished hardness against temper temperature',
  request: predictRequest,
  response: z.array(z.object({ atC: z.number(), mean: z.number(), sd: z.number() })).readonly(),
  answer: ({ steel, route }) => ok(curveOf(steelOf(steel), route)),
})
