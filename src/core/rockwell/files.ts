import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import type { Estimate } from '../codes/result'
import type { TargetHrc } from './target'

/** File test: the hardest file that skated and the softest that bit, HRC; null: not tried. */
export interface FileTest {
  readonly skates: number | null
  readonly bites: number | null
}

export interface CombinedHardness extends Estimate {
  /** Highest and lowest of the central 95 %. */
  readonly low: number
  readonly high: number
  readonly inTargetProbability: number | null
}

/** How sharply a file parts hard from soft, one standard deviation, HRC: hand, file and spot. Common practice, no published source. */
const FILE_SD_HRC = 1.2
const GRID = { from: 20, to: 70, step: 0.05 } as const

const logNormal = (x: number, mean: number, sd: number) => -0.5 * ((x - mean) / sd) ** 2
/**
 * Hardness from readings, files and what was predicted, each by its likelihood: a file that skates says the steel is harder than it,
 * one that bites that it is softer, both with the same softness of judgement. Never 'the middle of the two'.
 * Errors: none; evidence that contradicts itself gives a wide answer.
 */
export function combineHardness(
  evidence: {
    readonly readings: Estimate | null
    readonly files: readonly FileTest[]
    readonly predicted: Estimate | null
  },
  target: TargetHrc | null = null,
): CombinedHardness | null {
  const { readings, files, predicted } = evidence
  if (!readings && !predicted && files.every(f => f.skates === null && f.bites === null)) return null
  const n = Math.round((GRID.to - GRID.from) / GRID.step) + 1
  const at = (i: number) => GRID.from + i * GRID.step
  const logs = Array.from({ length: n }, (_, i) => {
    const h = at(i)
    let log = 0
    if (readings) log += logNormal(h, readings.mean, readings.sd)
    if (predicted) log += logNormal(h, predicted.mean, predicted.sd)
    for (const { skates, bites } of files) {
      if (skates !== null) log += Math.log(Math.max(1e-300, normalCdf(h, skates, FILE_SD_HRC)))
      if (bites !== null) log += Math.log(Math.max(1e-300, normalCdf(bites, h, FILE_SD_HRC)))
    }
    return log
  })
  const top = logs.reduce((a, b) => Math.max(a, b))
  const weights = logs.map(log => Math.exp(log - top))
  const total = weights.reduce((a, b) => a + b, 0)
  const share = (i: number) => (weights[i] as number) / total
  let mean = 0
  for (let i = 0; i < n; i++) mean += share(i) * at(i)
  let variance = 0
  for (let i = 0; i < n; i++) variance += share(i) * (at(i) - mean) ** 2
  const quantile = (p: number) => {
    let sum = 0
    for (let i = 0; i < n; i++) {
      sum += share(i)
      if (sum >= p) return at(i)
    }
    return GRID.to
  }
  const within = (t: TargetHrc) => {
    let sum = 0
    for (let i = 0; i < n; i++) if (at(i) >= t.min && at(i) <= t.max) sum += share(i)
    return Math.min(1, sum)
  }
  return {
    mean,
    sd: Math.sqrt(variance),
    low: quantile(0.025),
    high: quantile(0.975),
    inTargetProbability: target ? within(target) : null,
  }
}
