import { describe, expect, it } from 'vitest'
import { expectOk, gradeOf, groupOf, refusalOf, trayOf } from '../../testing/tray'
import type { Pace } from '../quench/pace'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { predict } from '../steel/predict'
import { loadsOf } from './loads'
import { paceRequestOf, pullGapsOf } from './pull-list'

const batch = trayOf(gradeOf('X65Cr13'), [
  { mark: 'A', count: 2, thicknessMm: 2 },
  { mark: 'B', thicknessMm: 4 },
])
const [load] = loadsOf(batch)
if (!load) throw new Error('a load')
const askedOf = (plates: object = {}) =>
  expectOk(paceRequestOf(load, { ...DEFAULT_WORKSHOP, plates: { ...DEFAULT_WORKSHOP.plates, ...plates } }, batch))

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
      })),
    )
  })

  it('takes a steel that is not known for one that starts at 180 °C: its blades are not pulled any sooner for it', () => {
    const lost = { ...load, groups: [], blades: load.blades }
    const asked = expectOk(paceRequestOf(lost, DEFAULT_WORKSHOP, batch))
    expect(asked?.blades.map(blade => blade.martensiteStartC)).toEqual([180, 180, 180])
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
    expect(expectOk(paceRequestOf({ ...load, blades: [] }, DEFAULT_WORKSHOP, batch))).toBeNull()
    const gone = { ovenId: 'gone', ovenName: 'Old Faithful' }
    expect(refusalOf(paceRequestOf(load, DEFAULT_WORKSHOP, gone))).toContain('Old Faithful')
  })
})

describe('the gaps of a pull list', () => {
  it('are from pull to pull: 0, 55, 130 s make gaps of 0, 55 and 75', () => {
    const pull = { set: 1, outAtS: 0, plateStartC: 20, leavesC: 60, waitedFor: null }
    const pace: Pace = {
      pulls: [
        { ...pull, id: 'A1', pullAtS: 0, restedS: 0 },
        { ...pull, id: 'A2', pullAtS: 55, restedS: 0 },
        { ...pull, id: 'B', pullAtS: 130, restedS: 30 },
      ],
      totalS: 200,
      restS: 30,
    }
    expect(pullGapsOf(pace)).toEqual(
      new Map([
        ['A1', { seconds: 0, restedS: 0 }],
        ['A2', { seconds: 55, restedS: 0 }],
        ['B', { seconds: 75, restedS: 30 }],
      ]),
    )
  })
})
