import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { predict } from '../../steel/predict'
import { question, steelOf } from '../question'
import { list, predictRequest } from '../shapes'
import { predictionSchema } from '../shapes/figures'
import { learntSchema } from '../shapes/learnt'

export const predictions = question({
  summary: 'Several steels or routes, each predicted as one, with what the shop’s own readings add',
  request: z.object({ asked: z.readonly(z.array(predictRequest).check(z.maxLength(200))), learnt: learntSchema }),
  response: list(predictionSchema),
  answer: ({ asked, learnt }, memory) => {
    const experience = memory.experience(learnt)
    return ok(asked.map(({ steel, route }) => predict(steelOf(steel), route, experience)))
  },
})
