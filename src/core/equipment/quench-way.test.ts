import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { expectOk, gradeOf, groupOf, refusalOf, trayOf } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { batchFiguresOf } from '../bench/batch-figures'
import { loadsOf } from '../load/loads'
import { foiled } from '../load/packets'
import { pullPlanOf } from '../load/pull-plan'
import { quenchSecondsOf } from '../load/quench-seconds'
import { followed } from '../new-batch/suggestion'
import { seconds800to500Of } from '../quench/cooling-time'
import { quench } from '../quench/quench'
import { buildRunSteps } from '../run-plan/run-steps'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { predict } from '../steel/predict'
import { airOf, contactOf, plateSize } from './plates'
import { quenchable, quenchWayOf } from './quench-way'

const shop = DEFAULT_WORKSHOP
const withOil = (oil: Workshop['oil']): Workshop => ({ ...shop, oil })
const trayIn = (name: string, thicknessMm: number, at: Workshop) =>
  followed(trayOf(gradeOf(name), [{ mark: 'A', thicknessMm, count: 2 }]), at)

describe('what a steel is quenched in', () => {
  // ISO 4957: hardening media: 95MnWCr5 in oil; X153CrMoV12 and X100CrMoV5 in air. C75S and 100Cr6 in oil (handbook, from memory).
  it.each([
    ['X153CrMoV12', 'plates', 'plates', 'plates'],
    ['X100CrMoV5', 'plates', 'plates', 'plates'],
    ['X65Cr13', 'plates', 'plates', 'plates'],
    ['95MnWCr5', null, 'medium-oil', 'fast-oil'],
    ['100Cr6', null, 'medium-oil', 'fast-oil'],
    ['C75S', null, null, 'fast-oil'],
  ] as const)('%s: without oil %s, with a medium oil %s, with a fast one %s', (name, none, medium, fast) => {
    const way = (oil: Workshop['oil']) => quenchWayOf(gradeOf(name), { oil })
    expect([way(undefined), way('medium-oil'), way('fast-oil')]).toEqual([none, medium, fast])
  })
})

describe('a steel that plates cannot harden', () => {
  const batch = trayIn('C75S', 6.4, shop)

  it('is refused by name in the programme and the run, and what would mend it is said', () => {
    const refusal = refusalOf(quenchable(bladesOf(batch), shop))
    expect(refusal).toContain(
      'C75S does not harden between plates: it needs a fast quench oil, and the workshop has none.',
    )
    const figures = batchFiguresOf({ batch, shop, readings: [], experienceOf: () => null })
    expect(Object.values(figures.programmes).map(p => refusalOf(p))).toEqual([refusal])
    expect(refusalOf(buildRunSteps(batch, shop))).toBe(refusal)
    expect(refusalOf(quenchable(bladesOf(batch), withOil('medium-oil')))).toContain('has a slower one')
  })

  it('is predicted as the plates would leave it, the same wherever it is asked: far below what fast oil gives', () => {
    const figures = batchFiguresOf({ batch, shop, readings: [], experienceOf: () => null })
    const here = figures.groups[0]?.prediction
    expect(here?.hrc.asQuenched.mean).toBeCloseTo(predict(gradeOf('C75S'), groupOf(batch).route).hrc.asQuenched.mean, 9)
    const oiled = trayIn('C75S', 2, withOil('fast-oil'))
    const inOil = predict(gradeOf('C75S'), groupOf(oiled).route).hrc.asQuenched.mean
    expect((here?.hrc.asQuenched.mean ?? 99) + 10).toBeLessThan(inOil)
    // Thin, in fast oil, it is about as hard as in water: 64 HRC, common practice, no published source.
    expect(inOil).toBeGreaterThan(62)
  })

  it('is planned for oil where the shop has it: keyed, run without a plate, and left out of the foil', () => {
    const at = withOil('fast-oil')
    const oiled = trayIn('C75S', 3, at)
    const { steps } = expectOk(buildRunSteps(oiled, at))
    const pulls = steps.filter(step => step.kind === 'pull')
    expect(pulls.map(step => step.names.oil)).toEqual([true, true])
    expect(steps.find(step => step.kind === 'unclamp')?.names.oil).toBe(true)
    expect(foiled(oiled, at).lines).toEqual([])
    expect(foiled(oiled, shop)).toBe(oiled)
    const [load] = loadsOf(oiled, 'metric')
    const plan = load && expectOk(pullPlanOf(load, at, oiled))
    expect(plan?.pulls.map(p => p.set)).toEqual([0, 0])
    // 12 s to the tank, 30 s in it, 8 s out: one pair of hands.
    expect((plan?.pulls[1]?.pullAtS ?? 0) - (plan?.pulls[0]?.pullAtS ?? 0)).toBeGreaterThanOrEqual(50)
  })
})

describe('how fast a quench is', () => {
  const secondsOf = (name: string, thicknessMm: number, at: Workshop) => {
    const batch = trayOf(gradeOf(name), [{ mark: 'A', thicknessMm }])
    return quenchSecondsOf(batch, groupOf(batch), { grade: gradeOf(name), shop: at, fromC: 815 })
  }

  it('is what the plates’ own bench works out for the same blade', () => {
    const one = quench({
      blade: { thicknessMm: 6.4, widthMm: 40, lengthMm: 250 },
      foilMm: 0.05,
      fromC: 815,
      medium: 'plates',
      plates: plateSize(shop),
      plateStartC: shop.plates.startC,
      contactWPerM2K: contactOf(shop),
      airWPerM2K: airOf(shop),
      martensiteStartC: 250,
      ambientC: 22,
      count: 1,
      everyS: 120,
      clampedS: 90,
    }).blades[0]
    expect(secondsOf('C75S', 6.4, shop)).toBeCloseTo(one ? seconds800to500Of(one) : 0, 1)
  })

  it('is nothing to reckon with where it is as fast as the steel needs: stainless between plates, up to 12 mm', () => {
    for (const mm of [0.5, 3, 6]) expect(secondsOf('X65Cr13', mm, shop)).toBeUndefined()
  })

  it('grows with the thickness, and a faster medium is faster (law)', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 11, noNaN: true }), thicknessMm => {
        const medium = secondsOf('C75S', thicknessMm, withOil('medium-oil')) ?? 0
        const fast = secondsOf('C75S', thicknessMm, withOil('fast-oil')) ?? 0
        const thicker = secondsOf('C75S', thicknessMm + 1, withOil('fast-oil')) ?? 0
        expect(thicker).toBeGreaterThanOrEqual(fast)
        // A medium oil is none for this steel: it is reckoned as between the plates.
        expect(medium).toBe(secondsOf('C75S', thicknessMm, shop))
      }),
      { numRuns: 25 },
    )
  })

  it('follows the blades and the shop into every steel’s route, set by the maker or not', () => {
    const plain = trayIn('95MnWCr5', 6, shop)
    const set = {
      ...plain,
      groups: plain.groups.map(g => ({ ...g, fixed: [...(['austenitizeC', 'soakMin', 'cold', 'tempers'] as const)] })),
    }
    const oiled = followed(set, withOil('fast-oil'))
    expect(groupOf(oiled).route.seconds800to500 ?? 0).toBeLessThan(groupOf(set).route.seconds800to500 ?? 0)
    expect({ ...groupOf(oiled).route, seconds800to500: 0 }).toEqual({ ...groupOf(set).route, seconds800to500: 0 })
  })

  it('leaves every shipped steel that is made for plates as hard as it would be by the fastest quench, at 3 mm', () => {
    for (const grade of GRADES.filter(g => g.quench.needs === 'plates')) {
      const { route } = groupOf(trayIn(grade.name, 3, shop))
      const { seconds800to500: _, ...fastest } = route
      const lost = predict(grade, fastest).finalHrc.mean - predict(grade, route).finalHrc.mean
      expect(lost, grade.name).toBeLessThan(0.15)
    }
  })
})
