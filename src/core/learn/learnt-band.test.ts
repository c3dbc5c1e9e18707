import { describe, expect, it } from 'vitest'
import { LEARNING } from '../../data/learning'
import { createRandom } from '../numeric/random'
import { correctedVariance, shopCorrection } from '../steel/shop-model'
import { fitShop, type Observation } from './fit-shop'

const GRADES = ['X65Cr13', 'X105CrMo17', 'X153CrMoV12']

/**
 * A made-up shop: what a grade, a lot, the oven and a batch differ by are drawn as the learning takes them to be, readings scatter
 * about the batch's own hardness. The last batch is not read: its hardness is what is to be foretold.
 */
function shopOf(seed: number, batches: number, batchSdHrc: number = LEARNING.batchSdHrc) {
  const random = createRandom(seed)
  const L = LEARNING
  const byGrade = new Map(GRADES.map(gradeId => [gradeId, random.normal(0, L.gradeSdHrc)]))
  const byLot = new Map<string, number>()
  const oven = random.normal(0, L.ovenSdHrc)
  const rows = Array.from({ length: batches + 1 }, (_, i) => {
    const gradeId = GRADES[Math.floor(random.uniform() * GRADES.length)] as string
    const lot = `${gradeId} ${Math.floor(random.uniform() * 3)}`
    if (!byLot.has(lot)) byLot.set(lot, random.normal(0, L.lotSdHrc))
    const truth = (byGrade.get(gradeId) as number) + (byLot.get(lot) as number) + oven + random.normal(0, batchSdHrc)
    const readings = 6
    const row: Observation = {
      gradeId,
      lot,
      ovenId: 'oven',
      day: 20_000 + 3 * i,
      austenitizeC: 1050,
      coldC: -75,
      parameter: 9.6,
      batchId: `b${i}`,
      residual: truth + random.normal(0, L.testerSdHrc) + random.normal(0, L.readingSdHrc / Math.sqrt(readings)),
      readings,
    }
    return { row, truth }
  })
  const next = rows.pop() as (typeof rows)[number]
  return { seen: rows.map(r => r.row), next }
}

describe('the learnt band', () => {
  // Scatter between batches that the shop really has, HRC: it is estimated. Bounds are two standard errors of the count about 93 to 97 %;
  // two batches tell little of their scatter, and the band is wide. `BAND_SEEDS=400` gives the figures of docs/method.md.
  const SEEDS = Number(process.env.BAND_SEEDS ?? 120)
  it.each([
    [2, 0.35, 1],
    [10, 0.35, 0.99],
    [40, 0.2, 0.99],
    [40, 0.35, 0.99],
    [40, 0.6, 0.99],
    [40, 0.9, 0.99],
  ])('holds the next batch 95 times in 100 after %i batches that scatter by %f HRC', (batches, batchSdHrc, most) => {
    let held = 0
    let learnt = 0
    for (let seed = 1; seed <= SEEDS; seed++) {
      const { seen, next } = shopOf(1000 * batches + seed, batches, batchSdHrc)
      const fit = fitShop(seen)
      const correction = fit && shopCorrection(fit.model, next.row)
      if (!correction) continue
      learnt++
      const sd = Math.hypot(correction.sd, correction.batchSdHrc)
      if (Math.abs(next.truth - correction.mean) <= 1.96 * sd) held++
    }
    if (process.env.BAND_SEEDS) console.log({ batches, batchSdHrc, learnt, held: held / learnt })
    expect(learnt).toBeGreaterThan(SEEDS / 3)
    expect(held / learnt).toBeGreaterThan(0.88)
    expect(held / learnt).toBeLessThanOrEqual(most)
  })
})

const AT_480 = { austenitizeC: 1050, coldC: -75, parameter: 14.6 }

describe('far from the routes that were read', () => {
  it('leaves the model’s error whole, and takes it down beside them', () => {
    const { seen } = shopOf(5, 12)
    const fit = fitShop(seen.map(row => ({ ...row, gradeId: 'X65Cr13', residual: row.residual + 1.5 })))
    const at = (more: Partial<Observation>) => {
      const found = fit && shopCorrection(fit.model, { ...(seen[0] as Observation), gradeId: 'X65Cr13', ...more })
      if (!found) throw new Error('nothing learnt')
      return correctedVariance(found, 1.2 ** 2, 0)
    }
    expect(Math.sqrt(at(AT_480).readings)).toBeCloseTo(1.2, 2)
    expect(Math.sqrt(at({}).readings)).toBeLessThan(0.6)
  })
})

describe('batches that agree on being far off', () => {
  const far = (batches: number, offHrc: number) =>
    Array.from({ length: batches }, (_, i) => {
      const row = shopOf(60 + i, 1).seen[0] as Observation
      return {
        ...row,
        gradeId: 'X105CrMo17',
        lot: '',
        day: 20_000 + i,
        batchId: `b${i}`,
        residual: offHrc + 0.3 * (i % 3),
      }
    })

  it('are learnt from, and named: ten at 3.4 HRC over the chart', () => {
    const fit = fitShop(far(10, 3.1))
    expect(fit?.setAside).toEqual([])
    expect(fit?.strange).toEqual([{ gradeId: 'X105CrMo17', offHrc: expect.closeTo(3.4, 1), batches: 10 }])
    const first = far(1, 3.1)[0] as Observation
    expect(fit && shopCorrection(fit.model, first)?.mean).toBeGreaterThan(2.7)
  })

  it('teach nothing where they are two, or agree on nothing', () => {
    expect(fitShop([...far(2, 3.1), ...far(1, 0)])?.setAside).toHaveLength(2)
    const both = far(10, 4).map((row, i) => ({ ...row, residual: i % 2 === 0 ? row.residual : -row.residual }))
    expect(fitShop(both)).toBeNull()
  })

  it('are outdone by a leak: one at 6 HRC under the others’ 3.4 over is set aside', () => {
    const rows = far(10, 3.4)
    const leak = { ...(rows[0] as Observation), batchId: 'leak', residual: -2.6 }
    expect(fitShop([...rows, leak])?.setAside).toEqual([leak])
  })
})

describe('a grade the learning does worse on', () => {
  it('stays with its chart, and the others do not', () => {
    const { seen } = shopOf(3, 40)
    // Two grades are off by the same in every batch; the third is off to either side by turns, which nothing can foretell.
    const rows = seen.map((row, i) => ({
      ...row,
      lot: '',
      residual: row.gradeId === 'X153CrMoV12' ? (i % 2 === 0 ? -0.2 : 0.2) : 1.2,
    }))
    const fit = fitShop(rows)
    if (!fit || fit.model.strength === 0) throw new Error('nothing learnt')
    const { chart, shop } = fit.byGrade.X153CrMoV12 as (typeof fit.byGrade)[string]
    expect(fit.model.chartBetterFor).toEqual(['X153CrMoV12'])
    expect(shop).toBe(chart)
    const of = (gradeId: string) => shopCorrection(fit.model, { ...(rows[0] as Observation), gradeId })
    expect(of('X153CrMoV12')).toBeNull()
    expect(of('X65Cr13')?.mean).toBeGreaterThan(0.8)
  })
})
