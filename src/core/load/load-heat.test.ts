import { describe, expect, it } from 'vitest'
import { expectOk, gradeOf, groupOf, refusalOf, trayOf, withTray } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { batchFiguresOf } from '../bench/batch-figures'
import { ovenOf } from '../equipment/ovens'
import { simulateLoaded } from '../oven/simulate'
import { batchDayOf } from '../run-plan/batch-day'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { kindsOf, placesOf } from './heat-load'
import { heatAnswerOf, heatOf, heatOfLoad } from './load-heat'
import { loadsOf } from './loads'

const blade = { lengthMm: 220, widthMm: 35, bevels: 'full' as const }
const plain = trayOf(gradeOf('X65Cr13'), [])
const group = groupOf(plain)
const batch = withTray(
  {
    ...plain,
    entry: 'on-the-way-up',
    groups: [group, { ...group, id: 'h', route: { ...group.route, austenitizeC: group.route.austenitizeC - 30 } }],
  },
  [
    { ...blade, mark: 'A', thicknessMm: 2, count: 2 },
    { ...blade, mark: 'B', thicknessMm: 5 },
    { ...blade, groupId: 'h', mark: 'C', thicknessMm: 3, count: 3 },
  ],
)
const oven = expectOk(ovenOf(DEFAULT_WORKSHOP, batch))
const loads = loadsOf(batch, 'metric')
/** Hold of each soak, min. */
const HOLDS = Array.from({ length: 20 }, () => 40)
const answered = (i: number) => {
  const asked = heatOf(loads, i, oven, HOLDS)
  const answer = expectOk(simulateLoaded(asked.request))
  return { asked, heat: heatAnswerOf(asked, answer), answer }
}

describe('a load on its oven', () => {
  it('begins from cold; the one after it from where the first is out', () => {
    const [first, second] = [answered(0), answered(1)]
    expect(first.heat.fromMin).toBe(0)
    expect(second.heat.fromMin).toBeGreaterThan(first.heat.reachedMin ?? Number.POSITIVE_INFINITY)
    expect((second.heat.reachedMin ?? 0) - second.heat.fromMin).toBeLessThan(0.5 * (first.heat.reachedMin ?? 0))
  })

  it('is at its soak when the Heat Line and the day say so, to the minute', () => {
    const { groups } = batchFiguresOf({ batch, shop: DEFAULT_WORKSHOP, readings: [], experienceOf: () => null })
    const day = expectOk(batchDayOf(batch, DEFAULT_WORKSHOP))
    const said = loads.map((load, i) => {
      const thicknessMm = load.blades[0]?.line.thicknessMm ?? 0
      const heat = expectOk(heatOfLoad({ batch, shop: DEFAULT_WORKSHOP, loadIndex: i, thicknessMm }))
      const line = groups.find(({ groupId }) => load.groups.some(own => own.id === groupId))?.stretches
      expect(line?.find(stretch => stretch.phase === 'soak')?.startMin).toBeCloseTo(heat.reachedMin ?? 0, 6)
      return heat.reachedMin ?? 0
    })
    expect(said.length).toBeGreaterThan(1)
    expect(day.quenchedMin).toBeGreaterThan(Math.max(...said))
    expect(day.quenchedMin).toBeLessThan(Math.max(...said) + 60)
  })

  it('shares the energy of both between them', () => {
    const [first, second] = [answered(0), answered(1)]
    // The first alone is held for as long as before the second goes in, and so takes what the second does not.
    expect(first.heat.energyKWh + second.heat.energyKWh).toBeCloseTo(second.answer.energyKWh, 1)
    expect(second.heat.energyKWh).toBeLessThan(first.heat.energyKWh)
  })

  it('names its own blades, the thick ones later than the thin', () => {
    const { kinds } = answered(1).heat
    expect(kinds.map(k => k.bladeIds.join(' '))).toEqual(['A1 A2', 'B'])
    expect(kinds[1]?.withinFiveCMin).toBeGreaterThan(kinds[0]?.withinFiveCMin ?? Number.POSITIVE_INFINITY)
  })

  it('of six soaks is followed whole, each load before it as one kind', () => {
    const groups = Array.from({ length: 6 }, (_, i) => ({
      ...group,
      id: `g${i}`,
      route: { ...group.route, austenitizeC: 1000 + 10 * i },
    }))
    const many = withTray(
      { ...batch, groups },
      Array.from({ length: 48 }, (_, i) => ({
        ...blade,
        groupId: `g${i % 6}`,
        mark: `M${i}`,
        thicknessMm: 2 + (i % 7) / 2,
      })),
    )
    const asked = heatOf(loadsOf(many, 'metric'), 5, oven, HOLDS)
    expect(asked.request.load).toHaveLength(5 + asked.kinds.length)
  })

  it('names the blades of more kinds than the walls are followed with', () => {
    const many = withTray(
      { ...batch, groups: [group] },
      Array.from({ length: 20 }, (_, i) => ({ ...blade, mark: `M${i}`, thicknessMm: 2 + i / 10 })),
    )
    const { kinds, leftOut } = heatOf(loadsOf(many, 'metric'), 0, oven, HOLDS)
    expect([...kinds.flatMap(k => k.bladeIds), ...leftOut].sort()).toEqual(
      bladesOf(many)
        .map(b => b.id)
        .sort(),
    )
    expect(leftOut.length).toBeGreaterThan(0)
  })

  it('loaded cold is asked for at minute 0', () => {
    const cold = { ...batch, entry: 'from-cold' as const }
    expect(heatOf(loadsOf(cold, 'metric'), 0, oven, HOLDS).request.load[0]?.when).toEqual({ atMin: 0 })
  })

  it('is refused in words where the batch has no such load, or one that no bench oven holds', () => {
    expect(refusalOf(heatOfLoad({ batch, shop: DEFAULT_WORKSHOP, loadIndex: 7, thicknessMm: 2 }))).toContain(
      'no blade in this load',
    )
    const anvils = withTray(batch, [{ ...blade, mark: 'A', thicknessMm: 40, widthMm: 300, lengthMm: 480 }])
    expect(refusalOf(heatOfLoad({ batch: anvils, shop: DEFAULT_WORKSHOP, loadIndex: 0, thicknessMm: 40 }))).toContain(
      'kg',
    )
  })

  it('tells how far a blade is behind the oven: more where packets crowd, and never less for a thicker one', () => {
    const lagOf = (thicknessMm: number) =>
      expectOk(heatOfLoad({ batch, shop: DEFAULT_WORKSHOP, loadIndex: 0, thicknessMm }))
    expect(lagOf(5).crowded.lagS).toBeGreaterThan(lagOf(5).alone.lagS)
    expect(lagOf(5).alone.lagS).toBeGreaterThan(lagOf(2).alone.lagS)
  })

  it('tells how much sooner a ground edge is at heat than its spine, and nothing of a blade that is not ground', () => {
    const straightIn = (bevels: 'full' | 'pre-ground', edgeMm?: number) =>
      expectOk(
        heatOfLoad({
          batch: withTray({ ...plain, entry: 'straight-in' }, [
            { ...blade, mark: 'A', thicknessMm: 4, bevels, ...(edgeMm ? { edgeMm } : {}) },
          ]),
          shop: DEFAULT_WORKSHOP,
          loadIndex: 0,
          thicknessMm: 4,
        }),
      ).edge
    expect(straightIn('full')).toBeNull()
    // In a chamber that stays at 1065 °C (thermal reference) 374 s for 4 mm and 188 for 2 mm, so some 47 for half a millimetre: 327 s
    // apart. A real oven falls at loading and climbs again, and the edge can be no hotter than it: less, but not nothing.
    const edge = straightIn('pre-ground')
    expect(edge?.edgeMm).toBe(0.5)
    expect(edge?.leadS).toBeGreaterThan(30)
    expect(edge?.leadS).toBeLessThan(327)
    expect(straightIn('pre-ground', 2)?.leadS).toBeLessThan(edge?.leadS ?? 0)
  })

  it('sees the chamber the less the closer its packets stand', () => {
    const [load] = loads
    if (!load) throw new Error('load')
    const places = placesOf(load, oven)
    const near = places.map(p => ({ ...p, acrossMm: 75 + (p.acrossMm - 75) / 2 }))
    const mean = (at: typeof places) => kindsOf(load, at)[0]?.view ?? 0
    expect(mean(near)).toBeLessThan(mean(places))
  })
})
