import { describe, expect, it } from 'vitest'
import { gradeOf, trayOf } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { DEFAULT_WORKSHOP as shop } from '../shop/defaults'
import { coolantFor } from './coolant'

/** Four blades of one steel on the way into a cold of so many degrees, or into none. */
const tray = (toC: number | null) =>
  bladesOf(trayOf(gradeOf('X105CrMo17'), [{ mark: 'A', count: 4 }])).map(blade => ({
    ...blade,
    group: {
      ...blade.group,
      route: { ...blade.group.route, cold: toC === null ? null : { toC, holdMin: 60, delayMin: 60 } },
    },
  }))

describe('what is bought for the cold', () => {
  it('is dry ice to −75 °C and nitrogen to −196 °C, nothing for a freezer or without cold', () => {
    expect(coolantFor(tray(-75), shop)?.medium).toBe('dry-ice')
    expect(coolantFor(tray(-196), shop)?.medium).toBe('liquid-nitrogen')
    expect(coolantFor(tray(-20), shop)).toBeNull()
    expect(coolantFor(tray(null), shop)).toBeNull()
  })

  it('is more by what the box loses for each hour it is kept longer', () => {
    // 571 kJ of heat turn a kilogram of dry ice to gas (CRC Handbook, enthalpy of sublimation of CO2 at −78.5 °C): from memory.
    const [one, three] = [60, 180].map(minutes => coolantFor(tray(-75), shop, { heldMin: minutes }))
    const lostKg = (shop.cold.lossWPerK * ((shop.roomC ?? 20) + 75) * 3600) / 571_000
    expect(one?.lostPerHour).toBeCloseTo(lostKg, 2)
    expect((three?.amount ?? 0) - (one?.amount ?? 0)).toBeCloseTo(2 * (one?.lostPerHour ?? 0), 6)
  })

  it('needs no more for the bath and the vessel where they are cold already', () => {
    const empty = { ...shop, cold: { ...shop.cold, bath: { ...shop.cold.bath, litres: 0 }, vesselKg: 0 } }
    expect(coolantFor(tray(-75), shop, { isCold: true })?.amount).toBeCloseTo(
      coolantFor(tray(-75), empty)?.amount ?? 0,
      9,
    )
    const [warm, cold] = [false, true].map(isCold => coolantFor(tray(-196), shop, { isCold })?.amount ?? 0)
    expect(cold).toBeLessThan(warm ?? 0)
    expect(cold).toBeGreaterThan(0)
  })
})
