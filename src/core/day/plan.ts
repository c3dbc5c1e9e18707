import type { DayAnswer, DayPlan, PlanOptions } from './day-plan'
import { LIMITS, type WhyNot } from './limits'
import { createRuns } from './partitions'
import type { DayProblem } from './problem'
import { solveDay } from './solve'
import { whyNot } from './why-not'

/** A day with a limit less is looked at for so much of the budget, and no more. */
const EASED_SHARE = 0.25

/**
 * The best day plan within a budget of work, with a bound no plan can beat; or which limit makes it impossible, and the plan there
 * would be without it. Deterministic for a seed and a budget.
 */
export function planDay(problem: DayProblem, options: PlanOptions): DayAnswer {
  const alone = whyNot(problem, createRuns(problem))
  if (alone) return { feasible: false, why: alone, nearest: nearestOf(problem, alone, options) }
  const { plan } = solveDay(problem, options)
  if (plan) return { feasible: true, plan }
  const ids = problem.groups.map(({ id }) => id)
  for (const limit of LIMITS) {
    const eased = solveDay(limit.without(problem), easedOf(options)).plan
    if (!eased) continue
    const amount = Math.min(...problem.groups.map(group => limit.of(group, problem)))
    return {
      feasible: false,
      why: { code: limit.code, groups: ids.filter((_, i) => isLimited(problem, i, limit.code)), amount },
      nearest: eased,
    }
  }
  return { feasible: false, why: { code: 'none-found', groups: ids, amount: 0 }, nearest: null }
}

const easedOf = ({ visits, seed }: PlanOptions): PlanOptions => ({
  visits: visits * EASED_SHARE,
  ...(seed === undefined ? {} : { seed }),
})

/** Whether a limit is one of a group at all. */
const isLimited = (problem: DayProblem, group: number, code: WhyNot['code']): boolean => {
  const one = problem.groups[group]
  if (code === 'deadline') return one?.deadlineMin !== null
  return code === 'cold-delay' || code === 'cold-hold' ? one?.cold !== null : true
}

function nearestOf(problem: DayProblem, why: WhyNot, options: PlanOptions): DayPlan | null {
  const limit = LIMITS.find(({ code }) => code === why.code)
  if (!limit) return null
  const eased = limit.without(problem)
  return whyNot(eased, createRuns(eased)) ? null : solveDay(eased, easedOf(options)).plan
}
