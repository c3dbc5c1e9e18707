import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { newOven } from '../shop/defaults'
import { adopt } from './adopt'
import type { WorkshopData } from './exchange'

const here = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
const ids = () => {
  let n = 0
  return () => `new-${++n}`
}
/** Another workshop’s file: its own origin, its own names for oven-1. */
const theirs = (more: Partial<WorkshopData> = {}): WorkshopData => ({
  ...here,
  shop: { ...here.shop, origin: 'theirs', ovens: [newOven('oven-1', 'Their kiln', 'large')] },
  batches: here.batches.slice(0, 1).map(b => ({ ...b, id: 'their-batch', ovenId: 'oven-1', ovenName: 'Their kiln' })),
  blades: here.blades.slice(0, 2).map((b, i) => ({ ...b, id: `their-${i}`, batchId: 'their-batch' })),
  logs: [],
  ...more,
})

describe('a file of another workshop', () => {
  it('brings its oven along under an id of its own: it is not taken for the one here of the same id', () => {
    const { data, ovens } = adopt(here, theirs(), ids())
    expect(ovens).toEqual(['Their kiln'])
    expect(data.batches[0]?.ovenId).toBe('new-1')
    expect(data.shop.ovens.at(-1)).toMatchObject({ id: 'new-1', name: 'Their kiln', preset: 'large' })
    expect(data.shop.ovens.slice(0, -1)).toEqual(here.shop.ovens)
  })

  it('leaves an oven it does not use, and the settings here, alone', () => {
    const { data, ovens } = adopt(here, theirs({ batches: [] }), ids())
    expect(ovens).toEqual([])
    expect(data.shop).toEqual(here.shop)
  })

  it('gives its blades serials of their own where another blade here has theirs', () => {
    const { data, serials } = adopt(here, theirs(), ids())
    expect(serials.map(s => s.from)).toEqual(here.blades.slice(0, 2).map(b => b.serial))
    const all = [...here.blades, ...data.blades].map(b => b.serial)
    expect(new Set(all).size).toBe(all.length)
  })
})
