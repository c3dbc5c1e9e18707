import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { EDGE_PRIOR, EDGE_RESULTS } from '../../data/edge-tests'
import type { EdgeEvidence } from '../logbook/edge-evidence'
import { createRandom } from '../numeric/random'
import { bestHardness, type EdgeBelief, edgeBelief, edgeChances, nextAim, thresholdsAt } from './edge-belief'

const DEG: number = EDGE_PRIOR.referenceDeg
const told = (hrc: number, result: EdgeEvidence['result'], edgeDeg = DEG): EdgeEvidence => ({
  hrc,
  sdHrc: 0.3,
  edgeDeg,
  result,
})

describe('what is known of a shop’s edges', () => {
  it('finds what a maker concluded: 60.5 chipped, 59 to 59.5 held and flexed back, below 58.5 rolled', () => {
    // Facts of the trade, a fine edge of 25° included: common practice, no published source.
    const fine = 12.5
    const belief = edgeBelief(60, [
      told(60.5, 'chips', fine),
      told(60.4, 'chips', fine),
      told(59, 'holds', fine),
      told(59.2, 'holds', fine),
      told(59.5, 'holds', fine),
      told(58.3, 'rolls', fine),
      told(58.1, 'rolls', fine),
    ])
    const best = bestHardness(belief, fine)
    expect(best.hrc).toBeGreaterThan(58.8)
    expect(best.hrc).toBeLessThan(59.8)
    expect(edgeChances(belief, 60.8, fine).chips).toBeGreaterThan(edgeChances(belief, 60.8, fine).rolls)
    expect(edgeChances(belief, 57.9, fine).rolls).toBeGreaterThan(edgeChances(belief, 57.9, fine).chips)
    const { rollsHrc, chipsHrc } = thresholdsAt(belief, fine)
    expect(rollsHrc).toBeLessThan(59)
    expect(chipsHrc).toBeGreaterThan(59.5)
  })

  it('before any test says what is aimed at, and how little it knows', () => {
    const { hrc, fromHrc, toHrc } = bestHardness(edgeBelief(60, []), DEG)
    expect(hrc).toBeCloseTo(60, 1)
    // 90 % of a normal distribution lie within 1.645 standard deviations (table of the normal distribution).
    expect((toHrc - fromHrc) / 2).toBeCloseTo(1.645 * EDGE_PRIOR.middleSdHrc, 1)
  })

  it('is the same as Bayes by brute force over a grid many times as fine, at one angle', () => {
    const evidence = [
      told(60.6, 'chips'),
      told(59.8, 'holds'),
      told(58.9, 'rolls'),
      told(59.4, 'holds'),
      told(60.1, 'chips'),
    ]
    const s = (x: number) => 1 / (1 + Math.exp(-x))
    let [sum, mean] = [0, 0]
    for (const width of EDGE_PRIOR.widthsHrc) {
      // A logistic curve of width w has the standard deviation πw/√3.
      const w = Math.hypot(width, (0.3 * Math.sqrt(3)) / Math.PI)
      for (let m = 54; m <= 66; m += 0.02)
        for (let gap = 0.25; gap <= 3; gap += 0.05) {
          const p = evidence.reduce(
            (product, { hrc, result }) => {
              const chips = s((hrc - m - gap / 2) / w)
              const rolls = (1 - chips) * s((m - gap / 2 - hrc) / w)
              return product * (result === 'chips' ? chips : result === 'rolls' ? rolls : 1 - chips - rolls)
            },
            Math.exp(-0.5 * ((m - 60) / 1.6) ** 2),
          )
          sum += p
          mean += p * m
        }
    }
    const belief = edgeBelief(60, evidence)
    const ours = belief.cells.reduce((a, cell, i) => a + cell.middleHrc * (belief.weights[i] ?? 0), 0)
    expect(ours).toBeCloseTo(mean / sum, 1)
  })

  it('adds up to one, chips more and rolls less the harder the blade, and reads a mirror as a mirror', () => {
    const some = fc.array(
      fc.record({
        hrc: fc.double({ min: 57, max: 63, noNaN: true }),
        sdHrc: fc.constant(0.3),
        edgeDeg: fc.constant(DEG),
        result: fc.constantFrom(...EDGE_RESULTS),
      }),
      { maxLength: 6 },
    )
    fc.assert(
      fc.property(some, evidence => {
        const belief = edgeBelief(60, evidence)
        const at = [57, 59, 60, 61, 63].map(hrc => edgeChances(belief, hrc, DEG))
        for (const { holds, rolls, chips } of at) expect(holds + rolls + chips).toBeCloseTo(1, 9)
        for (const [i, one] of at.slice(1).entries()) {
          expect(one.chips).toBeGreaterThanOrEqual((at[i]?.chips ?? 0) - 1e-9)
          expect(one.rolls).toBeLessThanOrEqual((at[i]?.rolls ?? 1) + 1e-9)
        }
      }),
      { numRuns: 25 },
    )
  })

  it('thinks a stouter edge bears more: what chips at 12° says little against 20°', () => {
    const belief = edgeBelief(60, [
      told(60, 'chips', 12),
      told(60, 'chips', 12),
      told(60, 'holds', 20),
      told(60.2, 'holds', 20),
    ])
    expect(bestHardness(belief, 20).hrc).toBeGreaterThan(bestHardness(belief, 12).hrc + 0.3)
  })
})

/**
 * A made-up shop with a known best hardness: chips and rolls logistic of width 0.5 HRC round two centres 0.5 to 2 apart, their middle
 * in 58 to 62; four blades a batch that scatter by 0.4, read within 0.3; six batches from 60 on.
 */
function season(
  seed: number,
  policy: (belief: EdgeBelief, uniform: () => number) => number,
  { widthHrc = 0.5, batches = 6 } = {},
) {
  const random = createRandom(seed)
  const uniform = () => random.uniform()
  const normal = () => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform())
  const s = (x: number) => 1 / (1 + Math.exp(-x))
  const [middle, gap] = [58 + 4 * uniform(), 0.5 + 1.5 * uniform()]
  const chips = (h: number) => s((h - middle - gap / 2) / widthHrc)
  const rolls = (h: number) => s((middle - gap / 2 - h) / widthHrc)
  const score = (h: number) => (1 - chips(h)) * (1 - rolls(h))
  const evidence: EdgeEvidence[] = []
  let aim = 60
  let held = 0
  for (let batch = 0; batch < batches; batch++) {
    if (batch > 0) aim = policy(edgeBelief(60, evidence), uniform)
    held += score(aim) / score(middle) / batches
    for (let i = 0; i < 4; i++) {
      const hrc = aim + 0.4 * normal()
      const result = uniform() < chips(hrc) ? 'chips' : uniform() < rolls(hrc) ? 'rolls' : 'holds'
      evidence.push(told(hrc + 0.3 * normal(), result))
    }
  }
  const best = bestHardness(edgeBelief(60, evidence), DEG)
  return {
    /** Of the best edge score: in the end, and on the mean of the six batches. */
    share: score(best.hrc) / score(middle),
    held,
    off: Math.abs(best.hrc - middle),
    holdsBest: middle >= best.fromHrc && middle <= best.toHrc,
  }
}

describe('what to try next', () => {
  // A season takes a fifth of a second. `EDGE_SEEDS=200` gives the figures of docs/method.md.
  const SEEDS = Number(process.env.EDGE_SEEDS ?? 30)
  const seasons = (policy: Parameters<typeof season>[1]) =>
    Array.from({ length: SEEDS }, (_, i) => season(i + 1, policy))
  type Seasons = ReturnType<typeof seasons>
  const share = (of: Seasons) => of.reduce((sum, one) => sum + one.share, 0) / of.length
  const during = (of: Seasons) => of.reduce((sum, one) => sum + one.held, 0) / of.length

  it('ends as near the best edge as a posterior sampler, makes better edges on the way, and its interval is honest', {
    timeout: 120_000,
  }, () => {
    const ours = seasons(belief => nextAim(belief, DEG, 0.4).hrc)
    const sampler = seasons((belief, uniform) => {
      const drawn = uniform()
      let sum = 0
      for (const [i, cell] of belief.cells.entries()) {
        sum += belief.weights[i] ?? 0
        if (sum >= drawn) return cell.middleHrc
      }
      return 60
    })
    const chance = seasons((_, uniform) => 57.5 + 5 * uniform())
    if (process.env.EDGE_SEEDS)
      console.log({
        ours: [share(ours), during(ours)],
        sampler: [share(sampler), during(sampler)],
        chance: share(chance),
        most: Math.max(...ours.map(one => one.off)),
        honest: ours.filter(one => one.holdsBest).length / SEEDS,
      })
    // Reference of the designs, 200 seeds: a sampler 0.968 on the mean and all within 1 HRC, random choice 0.929.
    expect(share(ours)).toBeGreaterThan(0.968)
    // In the end both know enough; until then more of ours hold.
    expect(share(ours)).toBeGreaterThan(share(sampler) - 0.005)
    expect(during(ours)).toBeGreaterThan(during(sampler) + 0.02)
    expect(share(ours)).toBeGreaterThan(share(chance) + 0.015)
    expect(Math.max(...ours.map(one => one.off))).toBeLessThan(1)
    const honest = ours.filter(one => one.holdsBest).length / SEEDS
    // 90 % of 200 within 85 to 95; of few seeds the count itself scatters.
    const [least, most] = SEEDS < 200 ? [0.72, 1] : [0.85, 0.95]
    expect(honest).toBeGreaterThanOrEqual(least)
    expect(honest).toBeLessThanOrEqual(most)
  })

  it('promises no less than what is known now, and less the more is known', () => {
    const little = nextAim(edgeBelief(60, []), DEG, 0.4)
    const evidence = Array.from({ length: 8 }, () => [told(61, 'chips'), told(60, 'holds'), told(59, 'rolls')]).flat()
    const much = nextAim(edgeBelief(60, evidence), DEG, 0.4)
    expect(little.gain).toBeGreaterThan(much.gain)
    expect(much.gain).toBeGreaterThanOrEqual(0)
    expect(Math.abs(much.hrc - 60)).toBeLessThan(1)
  })
})

describe('the interval of the best hardness', () => {
  // Chips and rolls of real edges may be sharper or wider than thought. `EDGE_SEEDS=200` gives the figures of docs/method.md.
  const SEEDS = Number(process.env.EDGE_SEEDS ?? 40)
  it.each([0.5, 1, 1.5])('holds the best nine times in ten where the curves are %f HRC wide', widthHrc => {
    const held = Array.from({ length: SEEDS }, (_, i) =>
      season(100 + i, belief => bestHardness(belief, DEG).hrc, { widthHrc }),
    ).filter(one => one.holdsBest).length
    if (process.env.EDGE_SEEDS) console.log({ widthHrc, held: held / SEEDS })
    const [least, most] = SEEDS < 200 ? [0.78, 1] : [0.86, 0.96]
    expect(held / SEEDS).toBeGreaterThanOrEqual(least)
    expect(held / SEEDS).toBeLessThanOrEqual(most)
  })
})
