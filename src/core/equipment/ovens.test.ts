import { describe, expect, it } from 'vitest'
import { OVEN_PRESETS } from '../../data/ovens'
import { expectOk, NOW } from '../../testing/tray'
import { hottestOf } from '../oven/chamber'
import { DEFAULT_WORKSHOP, newOven, ofSize } from '../shop/defaults'
import { logOf, newLog } from '../trace/oven-log'
import { chamberOf } from './chambers'
import { detailedOven, ovenOf, temperingOvenOf, usualOvenOf } from './ovens'

const ovens = [
  newOven('o1', 'North', 'medium'),
  newOven('o2', 'South', 'large'),
  newOven('o3', 'Toaster', 'small', 'tempering'),
]
const shop = { ...DEFAULT_WORKSHOP, ovens, hardeningOvenId: 'o2', temperingOvenId: 'o3' }

describe('which oven', () => {
  const in_ = (ovenId: string | null, ovenName = '') => ({ ovenId, ovenName })

  it('a batch is hardened in: the one it names and no other, whatever it is called now', () => {
    expect(expectOk(ovenOf(shop, in_('o1', 'its old name'))).name).toBe('North')
    expect(ovenOf(shop, in_('sold', 'The old kiln'))).toMatchObject({
      ok: false,
      problems: [{ code: 'oven-gone', path: 'ovenId' }],
    })
    expect(ovenOf(shop, in_(null)).ok).toBe(false)
  })

  it('a new batch is planned for: the shop’s choice, else the first that hardens', () => {
    expect(usualOvenOf(shop).id).toBe('o2')
    expect(usualOvenOf({ ...shop, hardeningOvenId: 'gone' }).id).toBe('o1')
    expect(usualOvenOf({ ovens: ovens.slice(2), hardeningOvenId: 'gone' }).id).toBe('o3')
  })

  it('tempers: its own where the shop has one, else the one that hardened; a tempering oven that is gone is said', () => {
    expect(expectOk(temperingOvenOf(shop, in_('o1'))).id).toBe('o3')
    expect(expectOk(temperingOvenOf({ ...shop, temperingOvenId: null }, in_('o1'))).id).toBe('o1')
    expect(temperingOvenOf({ ...shop, temperingOvenId: null }, in_('sold')).ok).toBe(false)
    expect(temperingOvenOf({ ...shop, ovens: ovens.slice(0, 2) }, in_('o1'))).toMatchObject({
      ok: false,
      problems: [{ code: 'tempering-oven-gone' }],
    })
  })
})

describe('an oven as the models take it', () => {
  it('of more power comes hotter; its limit is no matter of its walls', () => {
    const [plain] = ovens
    if (!plain) throw new Error('oven')
    const stronger = { ...plain, powerW: plain.powerW * 1.3 }
    expect(hottestOf(chamberOf(stronger))).toBeGreaterThan(hottestOf(chamberOf(plain)))
    expect(chamberOf({ ...plain, maxC: 1150 }).climb).toEqual(chamberOf(plain).climb)
  })

  it('carries what a log taught into its walls', () => {
    const [plain] = ovens
    if (!plain) throw new Error('oven')
    const at = '2026-03-01T08:00:00.000Z'
    const fit = {
      at,
      logName: 'log',
      wallK: 1.2,
      wallC: 0.9,
      mass: 1,
      leak: 1,
      power: 0.95,
      residualK: 2,
      identified: [],
    }
    const fitted = detailedOven({ ...plain, fit })
    expect(fitted.powerW).toBeCloseTo(0.95 * plain.powerW, 6)
    expect(fitted.build.wall).toEqual({ k: 1.2, c: 0.9 })
  })
})

it('the log of a load is the newest that holds the group and the round', () => {
  const log = (id: string, temper: number, groupIds: string[]) =>
    newLog(
      { id, ovenId: 'o1', batchId: 'b', load: { temper, groupIds }, name: id, addedAt: '2026-03-01T08:00:00.000Z' },
      [
        [0, 20],
        [1, 30],
      ],
    )
  const logs = [log('new', 1, ['g']), log('old', 1, ['g']), log('heat', 0, ['g', 'h'])]
  expect(logOf(logs, 'g', 1)?.id).toBe('new')
  expect(logOf(logs, 'h', 0)?.id).toBe('heat')
  expect(logOf(logs, 'h', 1)).toBeNull()
})

describe('an oven said to be of another size', () => {
  const small = newOven('o', 'North', 'small')
  const presetOf = (name: string) => OVEN_PRESETS.find(preset => preset.name === name)

  it('takes what was never changed from the size, and keeps what was measured', () => {
    const measured = { ...small, powerW: 2050, chamberMm: { ...small.chamberMm, depth: 410 }, fan: true }
    const large = ofSize(measured, 'large')
    expect(large).toMatchObject({
      preset: 'large',
      powerW: 2050,
      fan: true,
      chamberMm: { width: presetOf('large')?.chamberMm.width, height: presetOf('large')?.chamberMm.height, depth: 410 },
    })
    expect(ofSize(small, 'large').powerW).toBe(presetOf('large')?.powerW)
  })

  it('forgets what was fitted to other walls, and nothing where the size is the same', () => {
    const fit = {
      at: NOW,
      logName: 'north.csv',
      wallK: 1,
      wallC: 1,
      mass: 1,
      leak: 1,
      power: 1,
      residualK: 2,
      identified: [],
    }
    const fitted = { ...small, fit }
    expect(ofSize(fitted, 'medium').fit).toBeNull()
    expect(ofSize(fitted, 'small')).toBe(fitted)
  })
})
