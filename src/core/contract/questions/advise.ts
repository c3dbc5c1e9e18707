import { advise as adviseOn } from '../../advice/advise'
import { firstReason } from '../../advice/order'
import { ok } from '../../codes/result'
import { question, steelOf } from '../question'
import { adviseRequest, adviseResponse } from '../shapes'

export const advise = question({
  summary: 'What can be done after a reading, best first',
  request: adviseRequest,
  response: adviseResponse,
  answer: ({ steel, symptom, learnt, ...rest }, memory) => {
    const request = {
      ...rest,
      steel: steelOf(steel),
      symptom: symptom ?? null,
      experience: memory.experience(learnt ?? null),
    }
    const options = adviseOn(request)
    return ok({ options, first: firstReason(options, request) })
  },
})
