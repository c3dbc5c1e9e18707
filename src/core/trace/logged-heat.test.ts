import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, trayOf, withBlade } from '../../testing/tray'
import { expectedAfter } from '../hardness/temper-expected'
import { temperLoadsOf } from '../load/loads'
import type { LogPoint } from '../oven/log-points'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { OvenLog } from '../shop/oven-log'
import { predict } from '../steel/predict'
import { loggedRoute } from './logged-heat'
import { newLog } from './oven-log'

const grade = gradeOf('X65Cr13')
const shop = DEFAULT_WORKSHOP
const plain = trayOf(grade, [
  { mark: 'A', thicknessMm: 2, count: 3, bevels: 'full' },
  { mark: 'B', thicknessMm: 5, bevels: 'full' },
])
const temperedTwice = [200, 200].map(atC => ({ atC, holdMin: 120 }))
const own = { ...groupOf(plain), route: { ...groupOf(plain).route, tempers: temperedTwice } }
const batch: Batch = { ...plain, groups: [own] }
const log = (temper: number, points: LogPoint[], addedAt = '2026-03-02T12:00:00.000Z'): OvenLog =>
  newLog(
    { id: `l${temper}`, ovenId: 'oven-1', batchId: 'b', load: { temper, groupIds: ['g'] }, name: 'log', addedAt },
    points,
  )
const heat = (topC: number, soakMin: number) =>
  log(0, [
    [0, 20],
    [38, 800],
    [39, 735],
    [46, 800],
    [66, topC],
    [66 + soakMin, topC],
    [67 + soakMin, topC - 60],
  ])
const temper = (round: number, c: number, minutes = 140) =>
  log(round, [
    [0, c],
    [minutes, c],
    [minutes + 20, 60],
  ])
const of = (logs: readonly OvenLog[]) => loggedRoute(logs, batch, own, grade, shop)
const finish = (logs: readonly OvenLog[]) => predict(grade, of(logs).route ?? own.route).finalHrc.mean

describe('a route as its logs show it', () => {
  const { austenitizeC, soakMin } = own.route

  it('without logs is the route that was planned', () => {
    expect(of([])).toEqual({ heat: null, tempers: [null, null], route: own.route })
  })

  it('counts each temper by its own log, and leaves the others as planned', () => {
    const { tempers, route } = of([temper(2, 230)])
    expect(tempers[0]).toBeNull()
    expect(route?.tempers[0]).toEqual({ atC: 200, holdMin: 120 })
    expect(route?.tempers[1]?.atC).toBeGreaterThan(225)
    expect(finish([temper(2, 230)])).toBeLessThan(finish([]) - 0.3)
    expect(Math.abs(finish([temper(1, 200), temper(2, 200)]) - finish([]))).toBeLessThan(0.2)
  })

  it('takes the thickest blade: it is the last to arrive', () => {
    const arrives = (logs: readonly OvenLog[]) => of(logs).tempers[0]?.arrivedMin ?? 0
    const thin = loggedRoute([temper(1, 200)], { ...batch, blades: batch.blades.slice(0, 1) }, own, grade, shop)
    expect(arrives([temper(1, 200)])).toBeGreaterThan(2 * (thin.tempers[0]?.arrivedMin ?? 0))
  })

  it('a fan brings it there sooner', () => {
    const withFan = (fan: boolean) => {
      const ovens = shop.ovens.map(oven => ({ ...oven, fan }))
      return loggedRoute([temper(1, 200)], batch, own, grade, { ...shop, ovens }).tempers[0]?.arrivedMin ?? 0
    }
    // Lumped: the lag goes with 1/(h + glow), h 25 and 10 W/m²K; the thermal reference's 1,418 s at h 10 make the glow 6.3.
    expect(withFan(false) / withFan(true)).toBeCloseTo((25 + 6.3) / (10 + 6.3), 1)
  })

  it('is null for a blade that never came to its soak, and hotter for one that overshot', () => {
    expect(of([heat(austenitizeC - 30, 20)]).route).toBeNull()
    expect(of([heat(austenitizeC + 15, soakMin + 5)]).route?.austenitizeC).toBeGreaterThan(austenitizeC + 10)
  })

  it('believes the display of an oven that is gone, and not another’s correction', () => {
    const ovens = shop.ovens.map(oven => ({ ...oven, correctionC: -20 }))
    const peak = (ovenId: string) =>
      loggedRoute([{ ...temper(1, 200), ovenId }], batch, own, grade, { ...shop, ovens }).tempers[0]?.bladePeakC ?? 0
    expect(peak('oven-1')).toBeGreaterThan(215)
    expect(peak('sold')).toBeLessThan(201)
  })

  it('uses the newest log of a load', () => {
    const [newer, older] = [temper(1, 230), temper(1, 200)]
    expect(of([newer, older]).tempers[0]?.bladePeakC).toBeGreaterThan(225)
  })
})

describe('what a temper load should read', () => {
  it('says each route in it once, a blade with a temper of its own too', () => {
    const apart = withBlade(batch, 'B', { tempers: [{ atC: 230, holdMin: 120 }] })
    const known = [{ groupId: own.id, grade, experience: null }]
    const loads = temperLoadsOf(apart).map(load => expectedAfter(load, known))
    expect(loads.map(l => l.length)).toEqual([1, 1, 1])
    const [, second, third] = loads
    expect(third?.[0]?.hrc).toBeLessThan(second?.[0]?.hrc ?? 0)
    expect(third?.[0]?.hrc).toBeGreaterThan(50)
  })
})
