import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { gradeOf, groupOf, trayOf, withTray } from '../../testing/tray'
import { letFollow, withRoute } from '../batch/route-edit'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { ROUTE_PARTS } from '../shop/route-parts'
import type { Workshop } from '../shop/workshop'
import { finalHrc } from '../steel/hrc-path'
import { fFromC } from '../units/temperature'
import { newGroup } from './new-batch'
import { followed, suggestionOf } from './suggestion'

const shop = DEFAULT_WORKSHOP
const tray = (thicknessMm: number, name = 'X153CrMoV12') =>
  followed(trayOf(gradeOf(name), [{ mark: 'A', thicknessMm }]), shop)
const routeOf = (batch: ReturnType<typeof tray>) => groupOf(batch).route

describe('what was suggested follows', () => {
  it('the blades: a 5 mm blade of the 12 % chromium tool steel soaks 35 min, not the 23 of a thin one', () => {
    const thin = tray(2.5)
    expect(routeOf(thin).soakMin).toBe(23)
    const thick = followed(withTray(thin, [{ mark: 'A', thicknessMm: 5 }]), shop)
    expect(routeOf(thick).soakMin).toBe(35)
    // The thickest blade of the steel decides.
    const both = followed(
      withTray(thin, [
        { mark: 'A', thicknessMm: 2 },
        { mark: 'B', thicknessMm: 5 },
      ]),
      shop,
    )
    expect(routeOf(both).soakMin).toBe(35)
  })

  it('the shop: without cold none is suggested, and the tempers change with it', () => {
    const with_ = tray(3, 'X65Cr13')
    const without = followed(with_, { ...shop, cold: { ...shop.cold, medium: 'none' } })
    expect(routeOf(with_).cold).not.toBeNull()
    expect(routeOf(without).cold).toBeNull()
    const target = groupOf(without).target
    const hrc = finalHrc(gradeOf('X65Cr13'), routeOf(without))
    expect(hrc).toBeGreaterThanOrEqual(target.min)
    expect(hrc).toBeLessThanOrEqual(target.max)
  })

  it('the oven: nothing hotter than the batch’s oven reaches is suggested', () => {
    const cooler: Workshop = { ...shop, ovens: shop.ovens.map(oven => ({ ...oven, maxC: 1055 })) }
    expect(routeOf(followed(tray(3, 'X65Cr13'), cooler)).austenitizeC).toBeLessThanOrEqual(1055)
  })

  it('the target: other tempers, the soak as it was', () => {
    const batch = tray(3, 'X65Cr13')
    const [group] = batch.groups
    if (!group) throw new Error('no group')
    const softer = followed({ ...batch, groups: [{ ...group, target: { min: 57, max: 58.5 } }] }, shop)
    expect(routeOf(softer).tempers[0]?.atC).toBeGreaterThan(routeOf(batch).tempers[0]?.atC ?? 0)
  })

  it('the hold: cold that is over before a thick blade is there is reckoned so, and no longer once it is held on', () => {
    const freezer: Workshop = { ...shop, cold: { ...shop.cold, medium: 'freezer' } }
    const held = (holdMin: number) => {
      const batch = tray(5, 'X65Cr13')
      const group = groupOf(batch)
      const own = withRoute(group, { ...group.route, cold: { toC: -20, holdMin, delayMin: 30 } })
      return routeOf(followed({ ...batch, groups: [own] }, freezer))
    }
    // 5 mm in still air: 17 min for a factor e, so 47 to come within 3 °C.
    expect(held(20).chillTauMin).toBeCloseTo(17, 0)
    expect(held(120).chillTauMin).toBeUndefined()
    expect(finalHrc(gradeOf('X65Cr13'), held(20))).toBeLessThan(
      finalHrc(gradeOf('X65Cr13'), { ...held(20), chillTauMin: undefined }),
    )
  })

  it('is the same batch where nothing moves', () => {
    const batch = tray(3)
    expect(followed(batch, shop)).toBe(batch)
  })
})

describe('what the maker set', () => {
  const batch = tray(2.5)
  const group = groupOf(batch)
  const mine = withRoute(group, { ...group.route, soakMin: 30 })
  const set = { ...batch, groups: [mine] }

  it('is the part that differs, and stays', () => {
    expect(mine.fixed).toEqual(['soakMin'])
    const thick = followed(withTray(set, [{ mark: 'A', thicknessMm: 6 }]), shop)
    expect(routeOf(thick).soakMin).toBe(30)
    expect(suggestionOf(thick, groupOf(thick), gradeOf('X153CrMoV12'), shop).soakMin).toBe(40)
  })

  it('is what the rest is suggested for: at another austenitize temperature other tempers reach the target', () => {
    const hot = withRoute(group, { ...group.route, austenitizeC: 1050 })
    const planned = followed({ ...batch, groups: [hot] }, shop)
    expect(routeOf(planned).austenitizeC).toBe(1050)
    const grade = gradeOf('X153CrMoV12')
    const { min, max } = groupOf(planned).target
    expect(Math.abs(finalHrc(grade, routeOf(planned)) - (min + max) / 2)).toBeLessThan(0.5)
  })

  it('tempers of the maker’s leave the soak where it usually is: softer is what he wants', () => {
    const soft = withRoute(group, { ...group.route, tempers: [{ atC: 300, holdMin: 60 }] })
    expect(routeOf(followed({ ...batch, groups: [soft] }, shop)).austenitizeC).toBe(group.route.austenitizeC)
  })

  it('is never rounded', () => {
    const odd = withRoute(group, { ...group.route, austenitizeC: 1023.4 })
    expect(routeOf(followed({ ...batch, groups: [odd] }, { ...shop, units: 'imperial' })).austenitizeC).toBe(1023.4)
  })

  it('can be left to the suggestion again, and forgets the recipe it was of', () => {
    const again = letFollow({ ...mine, recipeId: 'r' }, ['soakMin'])
    expect(again).toMatchObject({ fixed: [], recipeId: null })
    expect(routeOf(followed({ ...batch, groups: [again] }, shop)).soakMin).toBe(23)
  })

  it('is the whole route where a recipe brought it', () => {
    const own = newGroup('g', gradeOf('X65Cr13'), shop, { route: group.route, recipeId: 'r' })
    expect(own.fixed).toEqual([...ROUTE_PARTS])
    const planned = { ...batch, groups: [own] }
    expect(followed(planned, shop)).toBe(planned)
  })
})

describe('every suggestion can be keyed', () => {
  const five = (value: number) => Math.abs(value / 5 - Math.round(value / 5)) < 1e-6
  it('as fives of the scale shown and whole minutes, for every steel, and the hardness promised is that of the rounded route', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GRADES),
        fc.constantFrom('metric' as const, 'imperial' as const),
        fc.constantFrom('none' as const, 'freezer' as const, 'dry-ice' as const),
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        (grade, units, medium, thicknessMm) => {
          const { route } = newGroup('g', grade, { ...shop, units, cold: { ...shop.cold, medium } }, { thicknessMm })
          const shown = (c: number) => (units === 'metric' ? c : fFromC(c))
          expect(five(shown(route.austenitizeC))).toBe(true)
          for (const temper of route.tempers) expect(five(shown(temper.atC))).toBe(true)
          expect(Number.isInteger(route.soakMin)).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })
})
