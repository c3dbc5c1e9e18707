import { GRADES, type Grade } from '../../../data/grades'
import { advise as adviseOn } from '../../advice/advise'
import type { AdviceRequest } from '../../advice/option'
import { firstReason } from '../../advice/order'
import { reachOf } from '../../advice/reach'
import { ASSUMED_THICKNESS_MM } from '../../batch/tray'
import { ok } from '../../codes/result'
import { isOutOf } from '../../rockwell/target'
import { isGrade } from '../../steel/steel'
import { question, steelOf } from '../question'
import { adviseRequest, adviseResponse } from '../shapes'

export const advise = question({
  summary: 'What can be done after a reading, best first',
  request: adviseRequest,
  response: adviseResponse,
  answer: ({ steel, symptom, learnt, whyNot = true, ...rest }, memory) => {
    const request = {
      ...rest,
      steel: steelOf(steel),
      symptom: symptom ?? null,
      experience: memory.experience(learnt ?? null),
    }
    const options = adviseOn(request)
    const grade =
      whyNot && isOutOf(request.target, request.reading.mean) && isGrade(request.steel) ? request.steel : null
    return ok({
      options,
      first: firstReason(options, request),
      whyNot: grade && whyNotOf(grade, request),
    })
  },
})

/** Returns what a grade would reach if it were hardened anew, with the abilities of the request. */
const whyNotOf = (grade: Grade, { target, can, experience }: AdviceRequest) =>
  reachOf({
    grade,
    target,
    grades: GRADES,
    experience: experience ?? null,
    can: {
      coldToC: can.coldToC,
      ovenMaxC: can.ovenMaxC ?? grade.austenitize.maxC,
      thicknessMm: can.thicknessMm ?? ASSUMED_THICKNESS_MM,
      system: can.system,
      oil: can.oil,
    },
  })
