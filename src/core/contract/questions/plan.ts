import { ok, type Result } from '../../codes/result'
import type { DayAnswer, DayPlan } from '../../day/day-plan'
import { planDay } from '../../day/plan'
import { ruleProblemOf } from '../../day/rule-problem'
import { question } from '../question'
import { planRequest, planResponse } from '../shapes'

/** Visits of a task's start that count as a second: about what a small machine does in one. */
const VISITS_PER_SECOND = 1_500_000
/** Beyond so many groups a visit takes longer in proportion. */
const USUAL_GROUPS = 20

type PlanAnswer = ({ readonly feasible: true } & DayPlan) | Extract<DayAnswer, { feasible: false }>

export const plan = question({
  summary:
    'The day plan: which groups share a load, when hands load, pull, chill and temper, and when all is done; or which limit makes it impossible',
  request: planRequest,
  response: planResponse,
  answer: ({ shop: { coldBox, ...shop }, groups, seconds }): Result<PlanAnswer> => {
    const problem = ruleProblemOf({ ...shop, coldBoxPackets: coldBox?.packets ?? 0 }, groups)
    const answer = planDay(problem, {
      visits: seconds * VISITS_PER_SECOND * Math.min(1, USUAL_GROUPS / groups.length),
    })
    return ok(answer.feasible ? { feasible: true, ...answer.plan } : answer)
  },
})
