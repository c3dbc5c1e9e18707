import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LEARNING } from '../../data/learning'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { stateOf } from '../batch/blade-state'
import { createRandom } from '../numeric/random'
import { withBlades } from '../shop/batch-records'
import { shopCorrection } from '../steel/shop-model'
import { fitShop, type Observation } from './fit-shop'
import { observationsOf } from './observations'

/** A shop of so many batches whose readings differ from the charts by a fixed amount and by chance. */
function shopOf(seed: number, batches: number, offset: number): Observation[] {
  const random = createRandom(seed)
  return Array.from({ length: batches }, (_, i): Observation[] => {
    const ofBatch = random.normal(0, LEARNING.batchSdHrc)
    return [7.3, 9.6].map(parameter => ({
      gradeId: random.uniform() < 0.5 ? 'X65Cr13' : 'X105CrMo17',
      lot: '',
      ovenId: '',
      day: 20_000 + 9 * i,
      austenitizeC: 1050 + Math.round(random.normal(0, 12)),
      coldC: -75,
      parameter,
      batchId: `b${i}`,
      residual: offset + ofBatch + random.normal(0, 0.2),
      readings: 9,
    }))
  }).flat()
}
const meanError = (train: Observation[], held: Observation[]) => {
  const fit = fitShop(train)
  const errors = held.map(o => {
    const chart = o.residual
    const learnt = fit ? o.residual - (shopCorrection(fit.model, { ...o, day: fit.model.lastDay })?.mean ?? 0) : chart
    return [chart ** 2, learnt ** 2] as const
  })
  const rms = (i: 0 | 1) => Math.sqrt(errors.reduce((sum, e) => sum + e[i], 0) / errors.length)
  return { chart: rms(0), shop: rms(1) }
}

describe('what a shop teaches', () => {
  it('halves the error of a shop that is off by a fixed amount', () => {
    const all = shopOf(1, 24, 0.9)
    const { chart, shop } = meanError(all.slice(0, 36), all.slice(36))
    expect(shop).toBeLessThan(0.6 * chart)
  })

  it('does no harm on held-out readings where there is nothing to learn', () => {
    const over = Array.from({ length: 30 }, (_, seed) => {
      const all = shopOf(100 + seed, 20, 0)
      return meanError(all.slice(0, 30), all.slice(30))
    })
    const mean = (pick: (e: { chart: number; shop: number }) => number) =>
      over.reduce((sum, e) => sum + pick(e), 0) / over.length
    expect(mean(e => e.shop)).toBeLessThanOrEqual(mean(e => e.chart) * 1.03)
  })

  it('never reports a worse error than the chart’s own', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), fc.integer({ min: 1, max: 14 }), (seed, batches) => {
        const fit = fitShop(shopOf(seed, batches, 0.4))
        expect(fit?.heldOut.shop).toBeLessThanOrEqual(fit?.heldOut.chart as number)
      }),
      { numRuns: 40 },
    )
  })

  it('leaves a batch out as if it had never been: the closed form against fitting anew', () => {
    const all = shopOf(7, 8, 0.7)
    const fit = fitShop(all)
    if (!fit || fit.model.strength === 0) throw new Error('nothing learnt')
    const { strength, batchSdHrc } = fit.model
    const squares = [...new Set(all.map(o => o.batchId))].flatMap(batchId => {
      const rest = all.filter(o => o.batchId !== batchId)
      const without = fitShopAt(rest, strength, batchSdHrc)
      return all.filter(o => o.batchId === batchId).map(o => (o.residual - without(o)) ** 2)
    })
    expect(Math.sqrt(squares.reduce((sum, s) => sum + s, 0) / squares.length)).toBeCloseTo(fit.heldOut.shop, 6)
  })

  it('narrows the band with readings, and says how many', () => {
    const sdAfter = (batches: number) => {
      const all = shopOf(11, batches, 0.8)
      const fit = fitShop(all)
      const [first] = all
      return fit && first ? shopCorrection(fit.model, first) : null
    }
    expect(sdAfter(20)?.sd).toBeLessThan(sdAfter(4)?.sd as number)
    expect(sdAfter(20)?.readings).toBeGreaterThan(100)
  })

  it('a leaking packet teaches nothing', () => {
    const all = shopOf(3, 8, 0.5)
    const leak = { ...(all[0] as Observation), batchId: 'leak', residual: -6 }
    expect(fitShop([...all, leak])?.setAside).toEqual([leak])
  })

  it('reads the demo year: one observation a group and stage, every reading in one but those of a blade apart', () => {
    const demo = makeDemoWorkshop(5, new Date('2026-06-15T12:00:00.000Z'))
    const batches = withBlades(demo.batches, demo.blades)
    const all = batches.flatMap(batch => observationsOf(batch, demo.readings, demo.shop.tester))
    // The blade of the packet that leaked stands apart from the others at every stage it was read.
    const leaked = batches.find(b => b.name === 'Net knives')?.blades.find(b => b.packet?.leak)
    // One that was sent back is judged by itself too.
    const back = demo.blades.find(blade => stateOf(blade) === 'sent-back')
    const apart = demo.readings.filter(r => r.bladeId === leaked?.id || r.bladeId === back?.id)
    expect([leaked, back].every(one => demo.readings.some(r => r.bladeId === one?.id))).toBe(true)
    expect(all.length).toBeGreaterThan(30)
    expect(all.reduce((sum, o) => sum + o.readings, 0)).toBe(demo.readings.length - apart.length)
  })
})

/** A prediction of a fit at one strength, worked out from the covariance by Gaussian elimination, not by the fit's code. */
function fitShopAt(rows: readonly Observation[], strength: number, batchSdHrc: number): (at: Observation) => number {
  const { gradeSdHrc, lotSdHrc, ovenSdHrc, routeSdHrc, testerSdHrc, readingSdHrc, scales } = LEARNING
  const k = (a: Observation, b: Observation) => {
    const apart =
      ((a.austenitizeC - b.austenitizeC) / scales.austenitizeK) ** 2 +
      ((a.coldC - b.coldC) / scales.coldK) ** 2 +
      (((a.parameter ?? 7.3) - (b.parameter ?? 7.3)) / scales.parameter) ** 2
    const same = a.gradeId === b.gradeId
    return (
      strength *
      ((same ? gradeSdHrc ** 2 + routeSdHrc ** 2 * Math.exp(-apart / 2) : 0) +
        (same && a.lot !== '' && a.lot === b.lot ? lotSdHrc ** 2 : 0) +
        (a.ovenId === b.ovenId ? ovenSdHrc ** 2 * Math.exp(-Math.abs(a.day - b.day) / scales.ovenDays) : 0))
    )
  }
  const n = rows.length
  const m = rows.map((a, i) => [
    ...rows.map(
      (b, j) =>
        k(a, b) +
        (a.batchId === b.batchId && a.gradeId === b.gradeId ? batchSdHrc ** 2 : 0) +
        (i === j ? testerSdHrc ** 2 + readingSdHrc ** 2 / a.readings : 0),
    ),
    a.residual,
  ])
  for (let i = 0; i < n; i++)
    for (let r = 0; r < n; r++) {
      if (r === i) continue
      const f = (m[r]?.[i] as number) / (m[i]?.[i] as number)
      for (let c = i; c <= n; c++) (m[r] as number[])[c] = (m[r]?.[c] as number) - f * (m[i]?.[c] as number)
    }
  const alpha = m.map((row, i) => (row[n] as number) / (row[i] as number))
  return at => rows.reduce((sum, row, i) => sum + k(row, at) * (alpha[i] as number), 0)
}
