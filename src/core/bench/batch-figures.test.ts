import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, readingOf, refusalOf, trayOf, withTray } from '../../testing/tray'
import { advise } from '../advice/advise'
import { adviceCanOf } from '../advice/shop-can'
import { stageReadingOf } from '../hardness/stage-reading'
import { loadKeyOf, loadsOf } from '../load/loads'
import { newGroup } from '../new-batch/new-batch'
import { followed } from '../new-batch/suggestion'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { predict } from '../steel/predict'
import { batchFiguresOf } from './batch-figures'
import { batchModelOf } from './batch-model'

const shop = DEFAULT_WORKSHOP
const none = () => null
const figuresOf = (
  batch: Parameters<typeof batchFiguresOf>[0]['batch'],
  readings = [] as ReturnType<typeof readingOf>[],
) => batchFiguresOf({ batch, shop, readings, experienceOf: none })

/** Nine blades of one steel, and two of another that soaks cooler. */
const batch = (() => {
  const plain = trayOf(gradeOf('X65Cr13'), [])
  const two = { ...plain, groups: [groupOf(plain), newGroup('h', gradeOf('X105CrMo17'), shop)] }
  return followed(
    withTray(two, [
      { mark: 'A', count: 9, thicknessMm: 3 },
      { mark: 'C', count: 2, groupId: 'h', thicknessMm: 4 },
    ]),
    shop,
  )
})()
const figures = figuresOf(batch)
const loads = loadsOf(batch, shop.units)

describe('the figures of a batch', () => {
  it('hold each load as long as its own pulls need: programme and pull list are one', () => {
    expect(Object.keys(figures.pulls).sort()).toEqual(loads.map(loadKeyOf).sort())
    for (const load of loads) {
      const programme = figures.programmes[loadKeyOf(load)]
      const soak = programme?.ok ? programme.value.at(-1) : undefined
      const plan = figures.pulls[loadKeyOf(load)]
      expect(soak?.holdMin).toBe(plan?.hold.holdMin)
      expect(soak?.purpose).toEqual({ kind: 'soak', hold: plan?.hold })
      const last = plan?.pulls.at(-1)
      expect((soak?.holdMin ?? 0) * 60).toBeGreaterThan(last?.pullAtS ?? 0)
    }
  })

  it('predict each blade for the soak it gets: the first as planned, the last for a longer one', () => {
    const load = loads.find(one => one.blades.length === 9)
    const plan = load && figures.pulls[loadKeyOf(load)]
    const group = batch.groups[0]
    const own = figures.groups.find(one => one.groupId === group?.id)
    expect(plan?.pulls[0]?.hrc).toBeCloseTo(own?.prediction.finalHrc.mean ?? 0, 3)
    const last = plan?.pulls.at(-1)
    const longer = group && predict(gradeOf('X65Cr13'), { ...group.route, soakMin: last?.soakMin ?? 0 })
    expect(last?.hrc).toBeCloseTo(longer?.finalHrc.mean ?? 0, 6)
    expect(last?.soakMin).toBeGreaterThan((group?.route.soakMin ?? 0) + 8)
  })

  it('say what would be suggested for every steel, beside what is planned', () => {
    for (const own of figures.groups) {
      const group = batch.groups.find(one => one.id === own.groupId)
      expect(own.suggested).toEqual({
        austenitizeC: group?.route.austenitizeC,
        soakMin: group?.route.soakMin,
        cold: group?.route.cold,
        tempers: group?.route.tempers,
      })
    }
  })

  it('put the temper loads in the order of the day, each with its hour', () => {
    const model = batchModelOf(batch, shop, [], figures)
    const starts = model.temperLoads.map(load => load.place?.startMin ?? Number.NaN)
    expect(starts).toEqual([...starts].sort((a, b) => a - b))
    expect(starts.every(Number.isFinite)).toBe(true)
    expect(figures.day?.totalMin).toBeGreaterThan(Math.max(...starts))
    expect(model.temperLoads.flatMap(load => load.expected).every(e => e.hrc > 50)).toBe(true)
  })

  it('have neither programme, pulls nor day while the oven is gone, and say why; predictions stay', () => {
    const gone = { ...batch, ovenId: 'gone', ovenName: 'Old Faithful' }
    const without = figuresOf(gone)
    expect([without.programmes, without.pulls, without.day, without.chamber]).toEqual([{}, {}, null, null])
    expect(without.groups.map(own => own.prediction.finalHrc.mean)).toEqual(
      figures.groups.map(own => own.prediction.finalHrc.mean),
    )
    const model = batchModelOf(gone, shop, [], without)
    expect(model.loads.map(load => refusalOf(load.programme))).toEqual(
      loads.map(() => expect.stringContaining('Old Faithful')),
    )
    expect(model.loads.every(load => load.pulls === null)).toBe(true)
    expect(model.temperLoads.every(load => load.place === null)).toBe(true)
  })

  it('start the rest of the line from what was measured', () => {
    const read = figuresOf(batch, [readingOf('A1', 62.5, 'as-quenched'), readingOf('A2', 62.5, 'as-quenched')])
    const [first] = read.groups
    const stage = first?.stages.find(one => one.stage === 'as-quenched')
    expect(stage?.measured).toBeCloseTo(62.5, 6)
    const after = first?.stages.find(one => one.stage === 'temper-2')
    const shift = (stage?.measured ?? 0) - (stage?.predicted ?? 0)
    expect(Math.sign((after?.expected ?? 0) - (after?.predicted ?? 0))).toBe(Math.sign(shift))
  })

  it('expect after a temper what the verdict promised for it, at Temper and on the line', () => {
    const [group] = batch.groups
    if (!group) throw new Error('group')
    const readings = ['A1', 'A2', 'A3'].flatMap(id => [62.5, 62.7, 62.6].map(hrc => readingOf(id, hrc, 'temper-2')))
    const asked = (of: typeof batch) => figuresOf(of, readings)
    const latest = asked(batch).groups[0]?.measured.at(-1)
    if (!latest) throw new Error('measured')
    const temper = advise({
      steel: gradeOf('X65Cr13'),
      route: group.route,
      reading: stageReadingOf(latest),
      target: group.target,
      symptom: null,
      can: adviceCanOf(batch, shop),
    }).find(option => option.kind === 'temper')
    if (!temper?.temper) throw new Error('a temper')
    const { temper: added } = temper
    const tempers = [...group.route.tempers, added]
    const taken = {
      ...batch,
      groups: batch.groups.map(one => (one.id === group.id ? { ...one, route: { ...one.route, tempers } } : one)),
    }
    const after = asked(taken)
    const load = batchModelOf(taken, shop, readings, after).temperLoads.find(one => one.round === 3)
    expect(load?.expected.map(one => one.hrc)).toEqual([expect.closeTo(temper.hrc.mean, 6)])
    expect(after.groups[0]?.stages.at(-1)?.expected).toBeCloseTo(temper.hrc.mean, 6)
  })

  it('show nothing of another moment’s load: one that is still worked out has no programme', () => {
    const more = followed(withTray(batch, [{ mark: 'A', count: 3, thicknessMm: 3 }]), shop)
    const model = batchModelOf(more, shop, [], figures)
    expect(model.loads[0]?.programme).toEqual({ ok: false, problems: [] })
    expect(model.loads[0]?.pulls).toBeNull()
  })
})
