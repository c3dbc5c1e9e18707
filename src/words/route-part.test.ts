import { describe, expect, it } from 'vitest'
import { routePartText } from './route-part'
import { speakerOf } from './speaker'

const route = {
  austenitizeC: 1065,
  soakMin: 23,
  cold: { toC: -75, holdMin: 60, delayMin: 30 },
  tempers: [
    { atC: 200, holdMin: 120 },
    { atC: 200, holdMin: 120 },
  ],
}
const metric = speakerOf('metric')
const said = (part: Parameters<typeof routePartText>[0], change: Partial<typeof route> | { cold: null } = {}) =>
  routePartText(part, { ...route, ...change }, metric)

describe('a part of a route in a few words', () => {
  it('is a temperature, a time, a way of cold, or the tempers', () => {
    expect(said('austenitizeC')).toBe('1065 °C')
    expect(said('soakMin')).toBe('23 min')
    expect(said('cold')).toBe('dry ice for 1 h')
    expect(said('tempers')).toBe('2 tempers at 200 °C for 2 h')
    expect(routePartText('austenitizeC', { ...route, austenitizeC: 1065.5556 }, speakerOf('imperial'))).toBe('1950 °F')
  })

  it('names each way of cold, and that there is none', () => {
    expect(said('cold', { cold: { toC: -18, holdMin: 120, delayMin: 30 } })).toBe('freezer for 2 h')
    expect(said('cold', { cold: { toC: -196, holdMin: 90, delayMin: 30 } })).toBe('liquid nitrogen for 1 h 30')
    expect(said('cold', { cold: null })).toBe('no cold')
  })

  it('says tempers that differ one after another', () => {
    expect(said('tempers', { tempers: [] })).toBe('no temper')
    expect(said('tempers', { tempers: [{ atC: 200, holdMin: 60 }] })).toBe('1 temper at 200 °C for 1 h')
    expect(
      said('tempers', {
        tempers: [
          { atC: 200, holdMin: 120 },
          { atC: 180, holdMin: 120 },
        ],
      }),
    ).toBe('200 °C for 2 h, then 180 °C for 2 h')
  })
})
