import { describe, expect, it } from 'vitest'
import { expectOk, gradeOf, groupOf, refusalOf, trayOf } from '../../testing/tray'
import { overSoakMin } from '../equipment/soak-over'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { predict } from '../steel/predict'
import { loadsOf } from './loads'
import { mendsOf, type PullPlan, pullPlanOf, pullsAskedOf } from './pull-plan'

const batch = trayOf(gradeOf('X65Cr13'), [
  { mark: 'A', count: 2, thicknessMm: 2 },
  { mark: 'B', thicknessMm: 4 },
])
const [load] = loadsOf(batch, 'metric')
if (!load) throw new Error('a load')
const askedOf = (plates: object = {}) =>
  expectOk(pullsAskedOf(load, { ...DEFAULT_WORKSHOP, plates: { ...DEFAULT_WORKSHOP.plates, ...plates } }, batch))
    ?.request

describe('what a pull list is worked out from', () => {
  it('is the blades in pull order, each from its soak to below where its martensite starts', () => {
    const { route } = groupOf(batch)
    expect(askedOf()?.blades).toEqual(
      load.blades.map(({ id, line }) => ({
        id,
        thicknessMm: line.thicknessMm,
        widthMm: line.widthMm,
        lengthMm: line.lengthMm,
        fromC: route.austenitizeC,
        martensiteStartC: predict(gradeOf('X65Cr13'), route).martensiteStartC,
        dueS: expect.any(Number),
      })),
    )
  })

  it('takes a steel that is not known for one that starts at 180 °C: its blades are not pulled any sooner for it', () => {
    const lost = { ...load, groups: [], blades: load.blades }
    const asked = expectOk(pullsAskedOf(lost, DEFAULT_WORKSHOP, batch))
    expect(asked?.request.blades.map(blade => blade.martensiteStartC)).toEqual([180, 180, 180])
  })

  it('is one set and one pair of hands, unless the shop says otherwise', () => {
    expect(askedOf()).toMatchObject({ sets: 1, people: 1, plateStartC: 20, ambientC: 22 })
    expect(askedOf({ sets: 2, people: 2, startC: 31 })).toMatchObject({ sets: 2, people: 2, plateStartC: 31 })
  })

  it('goes by the maker’s own plates, where they were read', () => {
    // Through clamped foil 800 W/m²K, to an air blast 80: common practice, no published source.
    expect(askedOf()).toMatchObject({ contactWPerM2K: 800, airWPerM2K: 80, restWPerM2K: 80 })
    const fit = { contactWPerM2K: 555, airWPerM2K: 33 }
    expect(askedOf({ fit })).toMatchObject({ contactWPerM2K: 555, airWPerM2K: 33, restWPerM2K: 33 })
    expect(askedOf({ fit: { ...fit, airWPerM2K: null } })).toMatchObject({ contactWPerM2K: 555, airWPerM2K: 80 })
    expect(askedOf({ metal: 'copper' })?.plates).toEqual({
      thicknessMm: 25,
      widthMm: 100,
      lengthMm: 450,
      metal: 'copper',
    })
  })

  it('is nothing for an empty load, and refused by name without its oven', () => {
    expect(expectOk(pullsAskedOf({ ...load, blades: [] }, DEFAULT_WORKSHOP, batch))).toBeNull()
    const gone = { ovenId: 'gone', ovenName: 'Old Faithful' }
    expect(refusalOf(pullsAskedOf(load, DEFAULT_WORKSHOP, gone))).toContain('Old Faithful')
  })
})

const shopWith = (plates: Partial<Workshop['plates']> = {}): Workshop => ({
  ...DEFAULT_WORKSHOP,
  plates: { ...DEFAULT_WORKSHOP.plates, ...plates },
})

/** The plan of a batch's first load. */
function planOf(of: Batch, shop: Workshop = DEFAULT_WORKSHOP): PullPlan {
  const [first] = loadsOf(of, 'metric')
  const plan = first && expectOk(pullPlanOf(first, shop, of))
  if (!plan) throw new Error('a plan')
  return plan
}

describe('each blade of a load', () => {
  const nine = trayOf(gradeOf('X153CrMoV12'), [{ mark: 'A', count: 9, thicknessMm: 3 }])
  const nineOf = () => planOf(nine)

  it('soaks from when it is as hot as the oven until it is pulled: never less than planned, and the last much longer', () => {
    const plan = nineOf()
    const { soakMin } = groupOf(nine).route
    for (const pull of plan.pulls) {
      expect(pull.soakMin).toBeGreaterThanOrEqual(soakMin - 1e-9)
      expect(pull.soakMin).toBeCloseTo((pull.pullAtS - pull.arrivesS) / 60, 9)
    }
    expect(plan.pulls[0]?.soakMin).toBeCloseTo(soakMin, 9)
    // One pair of hands, one set of plates, 90 s of clamp a blade: nine blades take near a quarter of an hour.
    const last = plan.pulls.at(-1)
    expect((last?.soakMin ?? 0) - soakMin).toBeGreaterThan(11)
    expect((last?.soakMin ?? 0) - soakMin).toBeLessThan(16)
  })

  it('is held in the oven to the last pull, and the hold is the sum of what it is for', () => {
    const { hold, pulls } = nineOf()
    expect(hold.lagMin + hold.soakMin + hold.pullsMin + hold.spareMin).toBeCloseTo(hold.holdMin, 9)
    expect(Number.isInteger(hold.holdMin)).toBe(true)
    const lastMin = (pulls.at(-1)?.pullAtS ?? 0) / 60
    expect(hold.holdMin - lastMin).toBeGreaterThanOrEqual(5)
    expect(hold.holdMin - lastMin).toBeLessThan(6)
    expect(hold.lagMin).toBeCloseTo((pulls[0]?.arrivesS ?? 0) / 60, 9)
    expect(hold.soakMin).toBe(groupOf(nine).route.soakMin)
    // From the first pull, when the first soak is over, to the last.
    expect(hold.pullsMin).toBeCloseTo(lastMin - (pulls[0]?.pullAtS ?? 0) / 60, 9)
  })

  it('is as hot as the oven the later the thicker it is, and its soak is over so long after that', () => {
    const grade = gradeOf('X65Cr13')
    const { pulls, hold } = planOf(
      trayOf(grade, [
        { mark: 'A', thicknessMm: 5 },
        { mark: 'B', thicknessMm: 12 },
        { mark: 'C', count: 6, thicknessMm: 8 },
      ]),
    )
    const [thin, thick] = ['A', 'B'].map(id => pulls.find(pull => pull.bladeId === id))
    expect(thin?.arrivesS).toBeGreaterThan(0)
    expect((thick?.arrivesS ?? 0) - (thin?.arrivesS ?? 0)).toBeGreaterThan(60)
    expect(pulls[0]?.bladeId).toBe('A')
    for (const pull of pulls) {
      expect(pull.dueS - pull.arrivesS).toBeCloseTo(60 * pull.plannedMin, 9)
      expect(pull.outAtS).toBeGreaterThan(pull.pullAtS)
      expect(pull.pullAtS).toBeGreaterThanOrEqual(pull.dueS - 1e-9)
    }
    expect(pulls[0]?.pullAtS).toBeCloseTo(thin?.dueS ?? 0, 9)
    expect(hold.lagMin).toBeCloseTo((thin?.arrivesS ?? 0) / 60, 9)
  })

  it('has no plan where there is none, and is refused by name without its oven', () => {
    const [first] = loadsOf(nine, 'metric')
    const gone = { ovenId: 'gone', ovenName: 'Old Faithful' }
    if (!first) throw new Error('a load')
    expect(expectOk(pullPlanOf({ ...first, blades: [] }, DEFAULT_WORKSHOP, nine))).toBeNull()
    expect(expectOk(mendsOf({ ...first, blades: [] }, DEFAULT_WORKSHOP, nine))).toEqual([])
    expect(refusalOf(pullPlanOf(first, DEFAULT_WORKSHOP, gone))).toContain('Old Faithful')
    expect(refusalOf(mendsOf(first, DEFAULT_WORKSHOP, gone))).toContain('Old Faithful')
  })

  // Common practice, no published source: the whole pull of three takes 60 to 90 s, where the plates need not be waited for.
  it('of three thin ones is pulled within some 60 to 90 s, with plates for each', () => {
    const three = planOf(
      trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 3, thicknessMm: 1.5, lengthMm: 120, widthMm: 20 }]),
      {
        ...shopWith({ sets: 2, people: 2 }),
      },
    )
    const [first, , third] = three.pulls
    expect((third?.pullAtS ?? 0) - (first?.pullAtS ?? 0)).toBeGreaterThanOrEqual(24)
    expect((third?.pullAtS ?? 0) - (first?.pullAtS ?? 0)).toBeLessThanOrEqual(120)
  })

  it('of a thick kind waits for its own soak, however free the plates are', () => {
    const grade = gradeOf('X65Cr13')
    const mixed = trayOf(grade, [
      { mark: 'A', thicknessMm: 2 },
      { mark: 'B', thicknessMm: 2, groupId: 'slow' },
    ])
    const [group] = mixed.groups
    if (!group) throw new Error('group')
    const slow = { ...group, id: 'slow', route: { ...group.route, soakMin: group.route.soakMin + 30 } }
    const { pulls } = planOf({ ...mixed, groups: [group, slow] })
    expect(pulls.map(p => p.bladeId)).toEqual(['A', 'B'])
    expect(pulls[1]?.waitedFor).toBe('soak')
    expect(pulls[1]?.soakMin).toBeCloseTo(slow.route.soakMin, 6)
  })
})

describe('a load that takes longer to pull than its steel may soak', () => {
  // Ten to twenty-five minutes are usual for this steel (common practice, no published source); half as long again is the most.
  const many = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 14, thicknessMm: 6, lengthMm: 300 }])
  const [all] = loadsOf(many, 'metric')
  // Worked out in each test: what is worked out beside them is no part of any.
  const planOfMany = () => planOf(many)
  const mendsOfMany = () => (all ? expectOk(mendsOf(all, DEFAULT_WORKSHOP, many)) : [])

  it('has blades over their longest soak, the last one most', () => {
    const plan = planOfMany()
    const over = plan.pulls.map(overSoakMin)
    expect(plan.pulls[0]?.longestMin).toBe(37.5)
    expect(over[0]).toBe(0)
    expect(over.at(-1)).toBeGreaterThan(0)
    expect(over).toEqual([...over].sort((a, b) => a - b))
  })

  it('is mended by fewer blades, and says by how many: so many are in time, one more is not', () => {
    const fewer = mendsOfMany().find(m => m.mend === 'fewer')
    expect(fewer?.overMin).toBe(0)
    const load_ = (count: number) =>
      Math.max(
        ...planOf(trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count, thicknessMm: 6, lengthMm: 300 }])).pulls.map(
          overSoakMin,
        ),
      )
    expect(load_((fewer?.count ?? 0) - 1)).toBe(0)
    expect(load_(14)).toBeGreaterThan(0)
  })

  it('gains by a second set of plates, and what it gains is what the plan with one gives', () => {
    const second = mendsOfMany().find(m => m.mend === 'second-set')
    const with_ = Math.max(...planOf(many, shopWith({ sets: 2 })).pulls.map(overSoakMin))
    expect(second?.overMin).toBeCloseTo(with_, 9)
    expect(second?.count).toBe(14)
    expect(with_).toBeLessThan(Math.max(...planOfMany().pulls.map(overSoakMin)))
  })

  it('gains by an order in which those whose soak is over the soonest come first, where it is another', () => {
    const grade = gradeOf('X65Cr13')
    const [slow, quick] = ['slow', 'quick'].map((id, i) => {
      const group = groupOf(many)
      return { ...group, id, route: { ...group.route, soakMin: i === 0 ? 37 : 12 } }
    }) as [Batch['groups'][number], Batch['groups'][number]]
    const mixed = {
      ...trayOf(grade, [
        { mark: 'S', count: 8, thicknessMm: 6, groupId: 'slow' },
        { mark: 'Q', count: 2, thicknessMm: 6, groupId: 'quick' },
      ]),
      groups: [slow, quick],
    }
    const [first] = loadsOf(mixed, 'metric')
    if (!first) throw new Error('a load')
    const wrong = { ...first, blades: [...first.blades].sort((a, b) => b.group.route.soakMin - a.group.route.soakMin) }
    const before = expectOk(pullPlanOf(wrong, DEFAULT_WORKSHOP, mixed))
    const order = expectOk(mendsOf(wrong, DEFAULT_WORKSHOP, mixed)).find(m => m.mend === 'order')
    expect(order?.overMin).toBeLessThan(Math.max(...(before?.pulls ?? []).map(overSoakMin)))
  })

  it('offers nothing the shop already has, and nothing at all where all are in time', () => {
    const both = all ? expectOk(mendsOf(all, shopWith({ sets: 2, people: 2 }), many)) : []
    expect(both.map(m => m.mend)).not.toContain('second-set')
    expect(both.map(m => m.mend)).not.toContain('helper')
    const [one] = loadsOf(batch, 'metric')
    expect(one && expectOk(mendsOf(one, DEFAULT_WORKSHOP, batch))).toEqual([])
  })
})
