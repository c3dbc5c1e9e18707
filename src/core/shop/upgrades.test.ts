import { describe, expect, it } from 'vitest'
import { logWithLoad, shopWithOvens } from './upgrades'

describe('what older versions stored', () => {
  it('a log is tied to the groups its batch had, and to none where the batch is gone', () => {
    const log = { id: 'l', batchId: 'b', points: [] }
    expect(logWithLoad(log, { groups: [{ id: 'g1' }, { id: 'g2' }] })).toEqual({
      ...log,
      load: { temper: 0, groupIds: ['g1', 'g2'] },
    })
    expect(logWithLoad(log, undefined)).toMatchObject({ load: { temper: 0, groupIds: [] } })
    expect(logWithLoad({ ...log, batchId: null }, undefined)).toMatchObject({ load: null })
  })

  it('is brought up once: what is up already stays as it is', () => {
    const log = { id: 'l', batchId: 'b', load: { temper: 2, groupIds: ['g'] } }
    expect(logWithLoad(log, { groups: [] })).toBe(log)
    const shop = shopWithOvens({ name: 'Shop', oven: { preset: 'small' }, temperingOven: 'same' })
    expect(shopWithOvens(shop)).toBe(shop)
  })

  it('survives what it does not know: groups that are none, an oven without name or size', () => {
    expect(logWithLoad({ id: 'l', batchId: 'b' }, { groups: [null, 3, { id: 5 }, { id: 'g' }] })).toMatchObject({
      load: { groupIds: ['g'] },
    })
    expect(shopWithOvens({ oven: {} })).toMatchObject({ ovens: [{ name: 'Hardening oven', preset: 'medium' }] })
    expect(shopWithOvens({ oven: 'none' })).toEqual({ oven: 'none' })
  })
})
