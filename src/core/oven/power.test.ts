import { describe, expect, it } from 'vitest'
import { chamberOfSize } from '../../testing/chamber'
import { detailedOven } from '../equipment/ovens'
import { newOven } from '../shop/defaults'
import { climbedC, heatUpMin } from './chamber'
import { stretchKWh } from './power'
import { simulateOven } from './simulate'

const climb = (name: 'small' | 'medium' | 'large', fromC: number, toC: number) => {
  const chamber = chamberOfSize(name)
  return stretchKWh(chamber, { fromC, toC, minutes: heatUpMin(chamber, fromC, toC, 0) })
}

describe('electricity of a stretch of an oven’s way', () => {
  // A wall model of another making: kWh from cold to 1065 °C. Its controller does the last minutes of a climb with less than full power.
  it.each([
    ['small', 2.49],
    ['medium', 3.05],
    ['large', 1.6],
  ] as const)('%s: %f kWh to 1065 °C', (name, kWh) => {
    expect(Math.abs(climb(name, 20, 1065) / kWh - 1)).toBeLessThan(0.15)
  })

  it.each([
    [200, 120],
    [1065, 60],
  ])('a hold at %i °C for %i min, as the walls take it once the climb is over', (targetC, holdMin) => {
    const of = (hold: number) =>
      simulateOven({
        oven: detailedOven(newOven('medium', 'medium', 'medium')),
        startC: 20,
        segments: [{ rateCPerH: null, targetC, holdMin: hold }],
        load: [],
        doorOpen: [],
      }).energyKWh
    const walls = of(holdMin) - of(0)
    const told = stretchKWh(chamberOfSize('medium'), { fromC: targetC, toC: targetC, minutes: holdMin })
    expect(Math.abs(told / walls - 1)).toBeLessThan(0.05)
  })

  it('adds up along a climb, costs nothing in a fall, and between the two where it climbs slower than it can', () => {
    const chamber = chamberOfSize('medium')
    const middleC = climbedC(chamber, 20, 1065, 0.5)
    expect(climb('medium', 20, middleC) + climb('medium', middleC, 1065)).toBeCloseTo(climb('medium', 20, 1065), 6)
    expect(stretchKWh(chamber, { fromC: 900, toC: 400, minutes: 60 })).toBe(0)
    const fast = heatUpMin(chamber, 200, 650, 0)
    const at = (minutes: number) => (stretchKWh(chamber, { fromC: 200, toC: 650, minutes }) / minutes) * 60
    expect(at(fast * 4)).toBeLessThan(at(fast))
    expect(at(fast * 4)).toBeGreaterThan((stretchKWh(chamber, { fromC: 425, toC: 425, minutes: 60 }) / 60) * 60 - 1e-9)
  })
})
