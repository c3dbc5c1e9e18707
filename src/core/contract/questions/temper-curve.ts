import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { temperCurve as curveOf } from '../../steel/temper-curve'
import { question, steelOf } from '../question'
import { predictRequest } from '../shapes'
import { learntSchema } from '../shapes/learnt'

export const temperCurve = question({
  summary: 'Finished hardness against temper temperature',
  request: z.extend(predictRequest, { learnt: learntSchema }),
  response: z.readonly(z.array(z.object({ atC: z.number(), mean: z.number(), sd: z.number() }))),
  answer: ({ steel, route, learnt }, memory) => ok(curveOf(steelOf(steel), route, memory.experience(learnt))),
})
