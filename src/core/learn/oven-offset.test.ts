import { describe, expect, it } from 'vitest'
import { CORRECTION } from '../../data/correction'
import { LEARNING } from '../../data/learning'
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

describe('what two batches say together', () => {
  const { gradeSdHrc, lotSdHrc, batchSdHrc, testerSdHrc, readingSdHrc } = LEARNING
  const offsets = Array.from({ length: 25 }, (_, i) => 5 * i - 60)

  interface One {
    readonly grade: string
    readonly lot?: string
    /** Measured over what is predicted as planned, HRC, in so many readings. */
    readonly overHrc: number
    readonly count: number
  }
  const routeOf = (name: string) => {
    const { austenitize } = gradeOf(name)
    return { ...groupOf(trayOf(gradeOf(name), [])).route, austenitizeC: austenitize.minC + 15, cold: null }
  }
  const predictedOf = ({ grade }: One, k: number) => {
    const route = routeOf(grade)
    return predict(gradeOf(grade), { ...route, austenitizeC: route.austenitizeC + k }).finalHrc.mean
  }
  function found(ones: readonly One[], sameBatch = false) {
    const batches: Batch[] = []
    const readings: Reading[] = []
    ones.forEach((one, i) => {
      const plain = trayOf(gradeOf(one.grade), [{ mark: `A${i}`, id: `line-${i}`, groupId: `g${i}` }], {
        id: `two-${i}`,
      })
      const group = { ...groupOf(plain), id: `g${i}`, route: routeOf(one.grade), ...(one.lot ? { lot: one.lot } : {}) }
      const batchId = sameBatch ? 'two-0' : plain.id
      if (sameBatch && i > 0) {
        const first = batches[0] as Batch
        batches[0] = {
          ...first,
          groups: [...first.groups, group],
          lines: [...first.lines, ...plain.lines],
          blades: [...first.blades, ...plain.blades],
        }
      } else batches.push({ ...plain, groups: [group] })
      for (let n = 0; n < one.count; n++)
        readings.push(readingOf(`A${i}`, predictedOf(one, 0) + one.overHrc, 'temper-2', { batchId }))
    })
    return ovenOffset(batches, readings, tester, batches[0]?.ovenId ?? '')
  }

  /** The same posterior by the inverse of a 2 x 2 covariance, written out. */
  function byHand([a, b]: readonly [One, One], shared: number) {
    const own = (one: One) =>
      testerSdHrc ** 2 +
      gradeSdHrc ** 2 +
      (one.lot ? lotSdHrc ** 2 : 0) +
      batchSdHrc ** 2 +
      readingSdHrc ** 2 / one.count
    const [p, q] = [own(a), own(b)]
    const determinant = p * q - shared ** 2
    const logs = offsets.map(k => {
      const [x, y] = [
        predictedOf(a, 0) + a.overHrc - predictedOf(a, k),
        predictedOf(b, 0) + b.overHrc - predictedOf(b, k),
      ]
      const fit = (q * x * x - 2 * shared * x * y + p * y * y) / determinant
      return -0.5 * (fit + (k / (2 * CORRECTION.priorSdK)) ** 2)
    })
    const weights = logs.map(log => Math.exp(log - Math.max(...logs)))
    const total = weights.reduce((x, y) => x + y, 0)
    const mean = offsets.reduce((sum, k, i) => sum + (k * (weights[i] ?? 0)) / total, 0)
    const variance = offsets.reduce((sum, k, i) => sum + ((k - mean) ** 2 * (weights[i] ?? 0)) / total, 0)
    return { offsetK: mean, sdK: Math.sqrt(variance + 2) }
  }
  const tester2 = testerSdHrc ** 2
  const same = tester2 + gradeSdHrc ** 2

  it.each([
    [
      'of two steels share the tester alone',
      { grade: 'X65Cr13', overHrc: 0.9, count: 4 },
      { grade: 'X46Cr13', overHrc: -0.4, count: 2 },
      tester2,
    ],
    [
      'of one steel share its error',
      { grade: 'X65Cr13', overHrc: 0.9, count: 4 },
      { grade: 'X65Cr13', overHrc: -0.4, count: 2 },
      same,
    ],
    [
      'of one lot share the lot’s',
      { grade: 'X65Cr13', lot: 'bar 7', overHrc: 0.9, count: 4 },
      { grade: 'X65Cr13', lot: 'bar 7', overHrc: -0.4, count: 2 },
      same + lotSdHrc ** 2,
    ],
    [
      'of two lots do not',
      { grade: 'X65Cr13', lot: 'bar 7', overHrc: 0.9, count: 4 },
      { grade: 'X65Cr13', lot: 'bar 8', overHrc: -0.4, count: 2 },
      same,
    ],
    [
      'of two steels called one lot do not',
      { grade: 'X65Cr13', lot: 'bar 7', overHrc: 0.9, count: 4 },
      { grade: 'X46Cr13', lot: 'bar 7', overHrc: -0.4, count: 2 },
      tester2,
    ],
  ] as const)('rows %s', (_, a, b, shared) => {
    const hand = byHand([a, b], shared)
    expect(found([a, b])?.offsetK).toBeCloseTo(hand.offsetK, 6)
    expect(found([a, b])?.sdK).toBeCloseTo(hand.sdK, 6)
  })

  it('of one batch and steel share what that heat was, of two steels of one batch they do not', () => {
    const a: One = { grade: 'X65Cr13', overHrc: 0.9, count: 4 }
    const b: One = { grade: 'X65Cr13', overHrc: -0.4, count: 2 }
    expect(found([a, b], true)?.offsetK).toBeCloseTo(byHand([a, b], same + batchSdHrc ** 2).offsetK, 6)
    const other: One = { ...b, grade: 'X46Cr13' }
    expect(found([a, other], true)?.offsetK).toBeCloseTo(byHand([a, other], tester2).offsetK, 6)
  })

  it('of one batch alone, or of four readings, are enough; of a steel that is not known they say nothing', () => {
    expect(found([{ grade: 'X65Cr13', overHrc: 0.5, count: 4 }])).toMatchObject({ readings: 4, batches: 1 })
    expect(found([{ grade: 'X65Cr13', overHrc: 0.5, count: 3 }])).toBeNull()
    const own = shopOf({ hotterK: 10, scatter: 0, batches: 3 })
    const lost = own.batches.map((b, i) =>
      i === 0 ? { ...b, groups: b.groups.map(g => ({ ...g, gradeId: 'lost' })) } : b,
    )
    expect(offsetOf({ ...own, batches: lost })).toMatchObject({ batches: 2, readings: 6 })
  })

  it('is looked for among the newest that were read: batches without a reading take no place', () => {
    const own = shopOf({ hotterK: 15, scatter: 0, batches: 13, seed: 9 })
    const unread = new Set(own.batches.slice(5).map(b => b.id))
    const readings = own.readings.filter(r => !unread.has(r.batchId))
    expect(offsetOf({ ...own, readings })).toMatchObject({ batches: 5 })
    // A batch whose readings were all taken out is as one that was not read.
    const struck = own.readings.map(r => (unread.has(r.batchId) ? { ...r, deletedAt: '2026-01-01T00:00:00.000Z' } : r))
    expect(offsetOf({ ...own, readings: struck })).toMatchObject({ batches: 5 })
  })
})
