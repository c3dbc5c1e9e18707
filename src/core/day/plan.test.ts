import { describe, expect, it } from 'vitest'
import { daysOf, kind, REFERENCE_SHOP } from '../../testing/day-reference'
import type { DayAnswer } from './day-plan'
import { planDay } from './plan'
import { type RuleGroup, type RuleShop, ruleProblemOf, ruleTransMin } from './rule-problem'

const plan = (shop: RuleShop, groups: readonly RuleGroup[], visits = 2_000_000): DayAnswer =>
  planDay(ruleProblemOf(shop, groups), { visits })
const finish = (answer: DayAnswer) => (answer.feasible ? answer.plan.finishMin : answer.why.code)

describe('a day against figures of an exact solver', () => {
  // Day plan of the design, solved by a constraint solver: minutes from midnight of the first day.
  const noTemperOven = { ...REFERENCE_SHOP, temperOven: null }
  it.each([
    ['four in the cold', REFERENCE_SHOP, [kind('A', 4, 120)], 930],
    ['the same in one oven', noTemperOven, [kind('A', 4, 600)], 1925],
    ['two steels, two days', REFERENCE_SHOP, [kind('A', 4, 120), kind('D', 3, 120)], 1925],
    ['two steels in one oven', noTemperOven, [kind('A', 4, 600), kind('D', 3, 600)], 2195],
    ['three steels', REFERENCE_SHOP, [kind('F', 3, 60), kind('C', 2, 60), kind('E', 3, 60)], 1000],
    [
      'six with two sets of plates',
      {
        ...REFERENCE_SHOP,
        oven: { ...REFERENCE_SHOP.oven, packets: 6 },
        plates: { ...REFERENCE_SHOP.plates, sets: 2 },
      },
      [kind('A', 6, 120)],
      925,
    ],
  ] as const)('%s', (_, shop, groups, expected) => {
    const answer = plan(shop, groups)
    expect(finish(answer)).toBe(expected)
    expect(answer.feasible && answer.plan.proven).toBe(true)
  })

  it('says what makes it impossible', () => {
    const evenings = { ...noTemperOven, work: daysOf(1020, 1320) }
    const answer = plan(evenings, [kind('A', 3, 600)])
    expect(answer).toMatchObject({ feasible: false, why: { groups: ['A'] } })
    const six = { ...REFERENCE_SHOP, oven: { ...REFERENCE_SHOP.oven, packets: 6 } }
    // The fifth pull comes at 42 min, 7 past the longest soak; the sixth 3 later.
    expect(plan(six, [kind('A', 6, 120)])).toMatchObject({
      feasible: false,
      why: { code: 'soak-too-long', amount: 10 },
    })
  })

  it('names an oven that cannot reach the soak, with no entry temperature too', () => {
    // It comes to 1000 °C at the most, and the steel is hardened at 1050.
    const weak = { ...REFERENCE_SHOP, oven: { ...REFERENCE_SHOP.oven, tInfC: 1000 } }
    const hot = { ...kind('A', 2, 120), austenitizeC: [1050, 1080] as const }
    for (const entryC of [null, 800])
      expect(plan(weak, [{ ...hot, entryC }])).toMatchObject({
        feasible: false,
        why: { code: 'too-hot', groups: ['A'], amount: 1050 },
      })
  })

  it('says for how many of sixty there are hours, and names all of them', () => {
    const groups = Array.from({ length: 60 }, (_, i) => ({ ...kind('A', 2, 600), id: `G${i}` }))
    const answer = plan({ ...REFERENCE_SHOP, work: daysOf(480, 1080).slice(0, 3) }, groups, 400_000)
    if (answer.feasible) throw new Error('three days for sixty groups')
    expect(answer.why.groups).toHaveLength(60)
    expect(answer.why.fits).toBeGreaterThan(3)
    expect(answer.why.fits).toBeLessThan(60)
    // So many, by themselves, are a day.
    expect(plan({ ...REFERENCE_SHOP, work: daysOf(480, 1080).slice(0, 3) }, groups.slice(0, 4), 400_000).feasible).toBe(
      true,
    )
  })

  it('takes the times of the design from one temperature to another', () => {
    const up = (from: number, to: number) => Math.ceil(ruleTransMin(REFERENCE_SHOP.oven, from, to) / 5) * 5
    expect([up(20, 800), up(800, 1060), up(1060, 200)]).toEqual([40, 30, 265])
  })
})
