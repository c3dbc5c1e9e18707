import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, readingOf, trayOf } from '../../testing/tray'
import { createRandom } from '../numeric/random'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Reading } from '../shop/reading'
import { predict } from '../steel/predict'
import { ovenOffset } from './oven-offset'

const { tester } = DEFAULT_WORKSHOP
const DAY_MS = 86_400_000
const FIRST_MS = Date.parse('2025-01-06T08:00:00.000Z')

interface Made {
  readonly batches: Batch[]
  readonly readings: Reading[]
}

/**
 * Batches of a shop whose oven is hotter by so much than it shows. Where hardness still rises with the soak it tells; batch and
 * reading scatter as a small shop's do.
 */
function shopOf({
  hotterK,
  batches = 6,
  seed = 1,
  scatter = 1,
  ovenId = 'oven-1',
}: {
  hotterK: number
  batches?: number
  seed?: number
  scatter?: number
  ovenId?: string
}): Made {
  const random = createRandom(seed)
  const grade = gradeOf('X65Cr13')
  const made: Made = { batches: [], readings: [] }
  for (let i = 0; i < batches; i++) {
    const id = `${ovenId}-${seed}-${i}`
    const plain = trayOf(grade, [{ mark: 'A' }], {
      id,
      ovenId,
      createdAt: new Date(FIRST_MS + 14 * i * DAY_MS).toISOString(),
    })
    const route = { ...groupOf(plain).route, austenitizeC: 1030 + 4 * (i % 3), cold: null }
    const batch = { ...plain, groups: [{ ...groupOf(plain), route }] }
    const truth = predict(grade, { ...route, austenitizeC: route.austenitizeC + hotterK }).finalHrc.mean
    const ofBatch = random.normal(0, 0.3 * scatter)
    made.batches.push(batch)
    for (let n = 0; n < 3; n++)
      made.readings.push(readingOf('A', truth + ofBatch + random.normal(0, 0.3 * scatter), 'temper-2', { batchId: id }))
  }
  return made
}
const offsetOf = ({ batches, readings }: Made, ovenId = 'oven-1') => ovenOffset(batches, readings, tester, ovenId)

describe('an oven’s offset by the hardness that came out of it', () => {
  it.each([-20, -8, 0, 12, 25])('finds an oven that acts %d K hotter, where nothing scatters', hotterK => {
    const found = offsetOf(shopOf({ hotterK, scatter: 0 }))
    // That the steel itself may be off by 0.6 HRC is a band of some 8 K where it gains 0.08 HRC a kelvin: the truth lies well in it.
    expect(found?.sdK).toBeLessThan(14)
    expect(Math.abs((found?.offsetK ?? Number.NaN) - hotterK)).toBeLessThan(found?.sdK ?? 0)
    expect(found).toMatchObject({ readings: 18, batches: 6, atC: 1034 })
  })

  it('rises with the oven: the hotter it acts the more is found', () => {
    const found = [-20, -8, 0, 12, 25].map(hotterK => offsetOf(shopOf({ hotterK, scatter: 0 }))?.offsetK ?? 0)
    for (const [i, offsetK] of found.slice(1).entries()) expect(offsetK).toBeGreaterThan((found[i] ?? 0) + 4)
  })

  it('holds the truth within its band as often as it says, in shops that scatter', () => {
    const random = createRandom(11)
    const shops = Array.from({ length: 20 }, (_, i) => {
      const hotterK = Math.round(random.normal(0, 14))
      const found = offsetOf(shopOf({ hotterK, seed: 100 + i }))
      return { off: (found?.offsetK ?? Number.NaN) - hotterK, sd: found?.sdK ?? 0 }
    })
    expect(shops.filter(s => Math.abs(s.off) < 1.96 * s.sd).length).toBeGreaterThanOrEqual(17)
    expect(Math.abs(shops.reduce((sum, s) => sum + s.off, 0) / shops.length)).toBeLessThan(4)
    // It is no use where it does not narrow what was thought before: twice the usual 10 K.
    for (const { sd } of shops) expect(sd).toBeLessThan(14)
  })

  it('knows more from more batches', () => {
    const sdOf = (batches: number) => offsetOf(shopOf({ hotterK: 10, batches }))?.sdK ?? 0
    expect(sdOf(10)).toBeLessThan(sdOf(2))
  })

  it('is asked of one oven: another’s batches say nothing, nor what was taken out or deleted', () => {
    const own = shopOf({ hotterK: 15, scatter: 0 })
    const other = shopOf({ hotterK: -30, scatter: 0, ovenId: 'oven-2', seed: 2 })
    const both = { batches: [...own.batches, ...other.batches], readings: [...own.readings, ...other.readings] }
    expect(offsetOf(both)).toEqual(offsetOf(own))
    const at = '2026-01-01T00:00:00.000Z'
    const struck = own.readings.map((r, i) => (i % 3 === 0 ? { ...r, hrc: 40, deletedAt: at } : r))
    expect(offsetOf({ ...own, readings: struck })?.readings).toBe(12)
    expect(offsetOf({ ...own, readings: struck })?.offsetK).toBeCloseTo(offsetOf(own)?.offsetK ?? 0, 0)
    expect(offsetOf({ ...own, batches: own.batches.map(b => ({ ...b, deletedAt: at })) })).toBeNull()
  })

  it('looks at the newest twelve batches: an oven of a year ago is another oven', () => {
    const old = shopOf({ hotterK: -30, scatter: 0, batches: 3, seed: 3 })
    const later = shopOf({ hotterK: 15, scatter: 0, batches: 12, seed: 4 })
    const newer = later.batches.map(b => ({
      ...b,
      createdAt: new Date(Date.parse(b.createdAt) + 400 * DAY_MS).toISOString(),
    }))
    const found = offsetOf({ batches: [...old.batches, ...newer], readings: [...old.readings, ...later.readings] })
    expect(found).toMatchObject({ batches: 12, readings: 36 })
    expect(found?.offsetK).toBeGreaterThan(10)
  })

  it('says nothing of fewer than four readings, and leaves out what another cause is likelier for', () => {
    expect(offsetOf(shopOf({ hotterK: 10, batches: 1 }))).toBeNull()
    const own = shopOf({ hotterK: 0, scatter: 0, batches: 3 })
    // A leak costs a blade six points: no oven is off by what that would take.
    const leaked = own.readings.map((r, i) => (i < 3 ? { ...r, hrc: r.hrc - 12 } : r))
    expect(offsetOf({ ...own, readings: leaked })).toMatchObject({ batches: 2, readings: 6 })
  })
})
