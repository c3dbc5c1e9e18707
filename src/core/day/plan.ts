import type { DayAnswer, DayPlan, PlanOptions } from './day-plan'
import { LIMITS, type WhyNot } from './limits'
import { createRuns } from './partitions'
import type { DayProblem } from './problem'
import { fittingGroups, solveDay } from './solve'
import { whyNot } from './why-not'

/** Days with a limit less, all of them together, and days of fewer groups are looked at for so much of the budget. */
const EASED_SHARE = 0.3

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
    const eased = solveDay(limit.without(problem), easedOf(options, EASED_SHARE / LIMITS.length)).plan
    if (!eased) continue
    const amount = Math.min(...problem.groups.map(group => limit.of(group, problem)))
    return {
      feasible: false,
      why: {
        code: limit.code,
        groups: ids.filter((_, i) => isLimited(problem, i, limit.code)),
        amount,
        ...(limit.code === 'hours-too-short' ? { fits: fittingGroups(problem, options) } : {}),
      },
      nearest: eased,
    }
  }
  const fits = fittingGroups(problem, options)
  return { feasible: false, why: { code: 'none-found', groups: ids, amount: 0, fits }, nearest: null }
}

const easedOf = ({ visits, seed }: PlanOptions, share = EASED_SHARE): PlanOptions => ({
  visits: visits * share,
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
