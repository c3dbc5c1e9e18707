import { describe, expect, it } from 'vitest'
import { brokenRules } from '../../testing/check-day'
import { type DayInstance, dayInstance, helperInstance } from '../../testing/day-instances'
import optima from '../../testing/day-optima.json'
import helperOptima from '../../testing/day-optima-helper.json'
import { daysOf, type KindName, kind, REFERENCE_KINDS, REFERENCE_SHOP } from '../../testing/day-reference'
import { createRandom } from '../numeric/random'
import type { DayPlan } from './day-plan'
import { planDay } from './plan'
import { type RuleGroup, ruleProblemOf } from './rule-problem'

const VISITS = 500_000
const planned = ({ shop, groups }: DayInstance, visits = VISITS) => planDay(ruleProblemOf(shop, groups), { visits })

/** Made-up days whose best end a constraint solver of others proved: `npm run day-reference`. Every tenth of those with five groups. */
const SEEDS = optima.flatMap((_, seed) => (dayInstance(seed).groups.length < 5 || seed % 5 === 0 ? [seed] : []))
const ALL = process.env.ALL_DAYS ? optima.map((_, seed) => seed) : SEEDS.filter((_, i) => i % 2 === 0)

describe('made-up days against a constraint solver', () => {
  const gaps: number[] = []
  it.each(ALL)('day %i: never better than the optimum, the bound never above it, every rule kept', seed => {
    const instance = dayInstance(seed)
    const best = optima[seed]?.finishMin ?? null
    const answer = planned(instance)
    expect(answer.feasible).toBe(best !== null)
    if (!answer.feasible || best === null) return
    expect(brokenRules(instance.shop, instance.groups, answer.plan)).toEqual([])
    expect(answer.plan.finishMin).toBeGreaterThanOrEqual(best)
    expect(answer.plan.lowerBoundMin).toBeLessThanOrEqual(best)
    if (answer.plan.proven) expect(answer.plan.finishMin).toBe(best)
    // Up to three loads every plan is gone through.
    if (instance.groups.length <= 3) expect(answer.plan.proven).toBe(true)
    if (instance.groups.length <= 4) gaps.push(answer.plan.finishMin / best - 1)
  })

  it('is within half a percent of the optimum on average, up to four loads', () => {
    expect(gaps.length).toBeGreaterThan(60)
    expect(gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length).toBeLessThan(0.005)
  })
})

describe('made-up days with a helper for some hours, against a constraint solver', () => {
  let sooner = 0
  it.each(helperOptima.map((_, seed) => seed))('day %i is the best there is, and keeps every rule', seed => {
    const instance = helperInstance(seed)
    const best = helperOptima[seed]?.finishMin ?? null
    const answer = planned(instance)
    expect(answer.feasible).toBe(best !== null)
    if (!answer.feasible || best === null) return
    expect(brokenRules(instance.shop, instance.groups, answer.plan)).toEqual([])
    expect(answer.plan).toMatchObject({ finishMin: best, proven: true })
    const alone = planned({ ...instance, shop: { ...instance.shop, helper: [] } })
    if (!alone.feasible || alone.plan.finishMin > best) sooner++
  })

  it('some of which could not be done, or not so soon, by one pair of hands', () => {
    expect(sooner).toBeGreaterThan(2)
  })
})

/** Many loads, a pair of hands, some weeks. */
function many(count: number, seed: number, days: number): DayInstance {
  const random = createRandom(seed)
  const names = Object.keys(REFERENCE_KINDS) as KindName[]
  const groups = Array.from({ length: count }, (_, i) =>
    kind(random.pick(names), 1 + Math.floor(random.uniform() * 4), random.pick([120, 240]), `g${i}`),
  )
  return { shop: { ...REFERENCE_SHOP, work: daysOf(480, 1020, days) }, groups }
}

describe('many loads', () => {
  it.each([
    [15, 5],
    [60, 30],
  ])('%i of them keep every rule', (count, days) => {
    const instance = many(count, 15, days)
    const answer = planned(instance)
    expect(answer.feasible && brokenRules(instance.shop, instance.groups, answer.plan)).toEqual([])
  })

  it('comes to the same plan for a seed and a budget, and to none worse with more of it', () => {
    const instance = many(9, 4, 5)
    const plan = (visits: number): DayPlan => {
      const answer = planned(instance, visits)
      if (!answer.feasible) throw new Error(answer.why.code)
      return answer.plan
    }
    expect(plan(200_000)).toEqual(plan(200_000))
    expect(plan(800_000).finishMin).toBeLessThanOrEqual(plan(200_000).finishMin)
  })

  it('tells of each better plan, the last of which is the answer', () => {
    const told: number[] = []
    const { shop, groups } = many(8, 3, 5)
    const answer = planDay(ruleProblemOf(shop, groups), { visits: VISITS, onBetter: plan => told.push(plan.finishMin) })
    expect([...told].sort((a, b) => b - a)).toEqual(told)
    expect(answer.feasible && answer.plan.finishMin).toBe(told.at(-1))
  })
})

describe('days that cannot be', () => {
  const four = [kind('A', 4, 120)]
  const why = (groups: readonly RuleGroup[], shop = REFERENCE_SHOP) => {
    const answer = planned({ shop, groups })
    if (answer.feasible) throw new Error('it can be')
    return answer
  }
  it.each([
    ['no hours', four, { work: [] }, 'no-hours'],
    ['hours that end before they begin', four, { work: [[600, 500]] as const }, 'no-hours'],
    ['an oven too small', [kind('A', 6, 120)], {}, 'oven-too-small'],
    ['no cold box', four, { coldBoxPackets: 0 }, 'no-cold-box'],
    ['a cold box too small', four, { coldBoxPackets: 3 }, 'cold-box-too-small'],
    ['an oven that does not get there', four, { oven: { ...REFERENCE_SHOP.oven, tInfC: 1050 } }, 'too-hot'],
    ['hours too short', four, { work: [[480, 600]] as const }, 'hours-too-short'],
  ] as const)('%s', (_, groups, change, code) => {
    expect(why(groups, { ...REFERENCE_SHOP, ...change }).why.code).toBe(code)
  })

  it('with a deadline yesterday gives the nearest plan that can be', () => {
    const answer = why([{ ...kind('A', 4, 120), deadlineMin: 0 }])
    expect(answer.why).toEqual({ code: 'deadline', groups: ['A'], amount: 0 })
    expect(answer.nearest?.finishMin).toBe(930)
  })

  it('with deadlines that each can be met, but not all, names those that have one', () => {
    const by = (id: string) => ({ ...kind('A', 4, 120, id), deadlineMin: 930 })
    const answer = why([by('one'), by('two'), kind('E', 1, 240)])
    expect(answer.why.code).toBe('deadline')
    expect(answer.why.groups).toEqual(['one', 'two'])
    expect(answer.nearest?.finishMin).toBeGreaterThan(930)
  })

  it('plans a window over midnight, and a day of 23 hours', () => {
    const overMidnight = planned({ shop: { ...REFERENCE_SHOP, work: [[1320, 2040]] }, groups: four })
    expect(overMidnight.feasible && overMidnight.plan.tasks[0]?.startMin).toBe(1320)
    const summerTime = planned({
      shop: {
        ...REFERENCE_SHOP,
        work: [
          [480, 900],
          [480 + 1380, 1020 + 1380],
        ],
      },
      groups: [...four, kind('D', 3, 240)],
    })
    expect(summerTime.feasible).toBe(true)
  })
})
