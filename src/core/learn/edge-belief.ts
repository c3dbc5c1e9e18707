import { EDGE_PRIOR, type EdgeResult } from '../../data/edge-tests'
import type { EdgeEvidence } from '../logbook/edge-evidence'

/** Where edges roll and chip: middle of where they hold at the reference angle, HRC; the gap; HRC for each degree; the width of both curves, HRC. */
interface Cell {
  readonly middleHrc: number
  readonly gapHrc: number
  readonly perDegree: number
  readonly widthHrc: number
}

/** Belief about a shop's edges: possible curves, each with its probability. */
export interface EdgeBelief {
  readonly cells: readonly Cell[]
  readonly weights: readonly number[]
  readonly tests: number
}

/** Chances of what an edge does at a hardness and angle; they add up to 1. */
export type EdgeChances = Readonly<Record<EdgeResult, number>>

const { middleSdHrc, gapHrc, widthsHrc, perDegree, referenceDeg } = EDGE_PRIOR
const MIDDLE_STEP_HRC = 0.25
const GAPS = 5
const SLOPES = 4
/** A logistic curve of width 1 has this standard deviation. */
const LOGISTIC_SD = Math.PI / Math.sqrt(3)
const REACH_SD = 3.5

const spread = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))

const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x))

/** A reading's own uncertainty makes the curves flatter. */
const widthWith = (widthHrc: number, sdHrc: number): number =>
  widthHrc * Math.sqrt(1 + (sdHrc / (widthHrc * LOGISTIC_SD)) ** 2)

function chancesIn(
  { middleHrc, gapHrc: gap, perDegree: slope, widthHrc }: Cell,
  hrc: number,
  sdHrc: number,
  edgeDeg: number,
) {
  const middle = middleHrc + slope * (edgeDeg - referenceDeg)
  const width = widthWith(widthHrc, sdHrc)
  const chips = sigmoid((hrc - middle - gap / 2) / width)
  const rolls = (1 - chips) * sigmoid((middle - gap / 2 - hrc) / width)
  return { chips, rolls, holds: 1 - chips - rolls }
}

/**
 * Returns the posterior over edge behaviour given test results: Bayes over a grid of curves. `targetHrc`: target hardness
 * at before the first test. Source: ordinal logistic with two thresholds, McCullagh (1980), from memory.
 * @example edgeBelief(60, []).tests // 0
 */
export function edgeBelief(targetHrc: number, evidence: readonly EdgeEvidence[]): EdgeBelief {
  const reach = REACH_SD * middleSdHrc
  const middles = spread(targetHrc - reach, targetHrc + reach, Math.round((2 * reach) / MIDDLE_STEP_HRC) + 1)
  const cells = middles.flatMap(middleHrc =>
    spread(gapHrc.least, gapHrc.most, GAPS).flatMap(gap =>
      spread(perDegree.least, perDegree.most, SLOPES).flatMap(slope =>
        widthsHrc.map(widthHrc => ({ middleHrc, gapHrc: gap, perDegree: slope, widthHrc })),
      ),
    ),
  )
  const logs = cells.map(cell => {
    const prior = -0.5 * ((cell.middleHrc - targetHrc) / middleSdHrc) ** 2
    return evidence.reduce(
      (sum, one) => sum + Math.log(chancesIn(cell, one.hrc, one.sdHrc, one.edgeDeg)[one.result] + 1e-12),
      prior,
    )
  })
  const most = Math.max(...logs)
  const raw = logs.map(log => Math.exp(log - most))
  const sum = raw.reduce((a, b) => a + b, 0)
  return { cells, weights: raw.map(w => w / sum), tests: evidence.length }
}

/** Chances of what an edge does at a hardness and an angle, by all that is known. `sdHrc`: how surely the hardness is met. */
export function edgeChances(belief: EdgeBelief, hrc: number, edgeDeg: number, sdHrc = 0): EdgeChances {
  const sum = { holds: 0, rolls: 0, chips: 0 }
  belief.cells.forEach((cell, i) => {
    const weight = belief.weights[i] as number
    const { holds, rolls, chips } = chancesIn(cell, hrc, sdHrc, edgeDeg)
    sum.holds += weight * holds
    sum.rolls += weight * rolls
    sum.chips += weight * chips
  })
  return sum
}

/** The hardness at which an edge of an angle holds best, HRC, with the interval that holds it with a probability. */
export function bestHardness(
  belief: EdgeBelief,
  edgeDeg: number,
  probability = 0.9,
): { readonly hrc: number; readonly fromHrc: number; readonly toHrc: number } {
  const at = belief.cells
    .map(
      (cell, i) => [cell.middleHrc + cell.perDegree * (edgeDeg - referenceDeg), belief.weights[i] as number] as const,
    )
    .sort((a, b) => a[0] - b[0])
  // Each cell stands for a stretch of the grid: its weight lies half below and half above it.
  const quantile = (q: number): number => {
    let sum = 0
    let before: readonly [hrc: number, sum: number] | null = null
    for (const [hrc, weight] of at) {
      const now = [hrc, sum + weight / 2] as const
      if (now[1] >= q)
        return before && now[1] > before[1]
          ? before[0] + ((q - before[1]) / (now[1] - before[1])) * (hrc - before[0])
          : hrc
      sum += weight
      before = now
    }
    return at.at(-1)?.[0] ?? Number.NaN
  }
  const [low, high] = [quantile((1 - probability) / 2), quantile((1 + probability) / 2)]
  const candidates = spread(low, high, 21)
  const holds = candidates.map(hrc => edgeChances(belief, hrc, edgeDeg).holds)
  return {
    hrc: candidates[holds.indexOf(Math.max(...holds))] as number,
    fromHrc: low,
    toHrc: high,
  }
}

/** The hardness to try next: what it should do, and what its results are worth. */
export interface NextAim {
  readonly hrc: number
  readonly chances: EdgeChances
  /** Probability that an edge holds at the best estimate of the hardness. */
  readonly bestHolds: number
  /** How much more of the edges should hold, at what is best once a batch of it is tested. */
  readonly gain: number
}

const AIM_STEP_HRC = 0.2
/** How far beyond what is likely a try is looked for, HRC. */
const BEYOND_HRC = 0.6
/** Blades of the next batch that are taken to be tested. */
const TESTED = 4
/** Batches of a kind that are thought to follow: what a result teaches counts for each of them. */
const BATCHES_TO_COME = 20
/** Curves less likely than this share of the likeliest no longer count. */
const LEAST_SHARE = 1e-3

/** Every way in which some results can fall: how many hold, roll and chip, and in how many orders. */
const OUTCOMES = (() => {
  const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1))
  const out: { holds: number; rolls: number; chips: number; ways: number }[] = []
  for (let holds = 0; holds <= TESTED; holds++)
    for (let rolls = 0; holds + rolls <= TESTED; rolls++) {
      const chips = TESTED - holds - rolls
      out.push({
        holds,
        rolls,
        chips,
        ways: factorial(TESTED) / (factorial(holds) * factorial(rolls) * factorial(chips)),
      })
    }
  return out
})()

/**
 * The hardness after whose results the best that is then known should be best: expected improvement of the choice, over a batch of
 * four. `scatterHrc`: how blades of one batch scatter about what was aimed at. Source: knowledge gradient, Frazier and others
 * (2008), from memory.
 */
export function nextAim(belief: EdgeBelief, edgeDeg: number, scatterHrc: number): NextAim {
  const { fromHrc, toHrc, hrc: bestHrc } = bestHardness(belief, edgeDeg)
  const [from, to] = [fromHrc - BEYOND_HRC, toHrc + BEYOND_HRC]
  const candidates = spread(from, to, Math.max(3, Math.round((to - from) / AIM_STEP_HRC) + 1))
  const most = Math.max(...belief.weights)
  const likely = belief.cells.flatMap((cell, i) => {
    const weight = belief.weights[i] as number
    return weight < LEAST_SHARE * most
      ? []
      : [{ weight, at: candidates.map(hrc => chancesIn(cell, hrc, scatterHrc, edgeDeg)) }]
  })
  const total = likely.reduce((sum, one) => sum + one.weight, 0)
  const bestOf = (weights: readonly number[]): number => {
    const sums = candidates.map(() => 0)
    likely.forEach(({ at }, i) => {
      const weight = weights[i] as number
      for (let c = 0; c < sums.length; c++) sums[c] = (sums[c] as number) + weight * (at[c] as EdgeChances).holds
    })
    return Math.max(...sums) / total
  }
  const now = bestOf(likely.map(one => one.weight))
  const worth = (c: number): number =>
    OUTCOMES.reduce((sum, { holds, rolls, chips, ways }) => {
      const after = likely.map(({ weight, at }) => {
        const one = at[c] as EdgeChances
        return weight * ways * one.holds ** holds * one.rolls ** rolls * one.chips ** chips
      })
      return sum + bestOf(after)
    }, 0)
  const worths = candidates.map((_, c) => worth(c))
  const holdsAt = (c: number) =>
    likely.reduce((sum, { weight, at }) => sum + weight * (at[c] as EdgeChances).holds, 0) / total
  // This batch is to be sold as well, and some more will be made by what it taught.
  const values = worths.map((after, c) => holdsAt(c) + BATCHES_TO_COME * after)
  const chosen = values.indexOf(Math.max(...values))
  const hrc = candidates[chosen] ?? bestHrc
  return {
    hrc,
    chances: edgeChances(belief, hrc, edgeDeg, scatterHrc),
    bestHolds: edgeChances(belief, bestHrc, edgeDeg, scatterHrc).holds,
    gain: Math.max(0, (worths[chosen] ?? now) - now),
  }
}

/** Where half of the edges of an angle roll, below, and half chip, above, HRC. */
export function thresholdsAt(
  belief: EdgeBelief,
  edgeDeg: number,
): { readonly rollsHrc: number; readonly chipsHrc: number } {
  const mean = (of: (cell: Cell) => number) =>
    belief.cells.reduce((sum, cell, i) => sum + of(cell) * (belief.weights[i] as number), 0)
  const middle = (cell: Cell) => cell.middleHrc + cell.perDegree * (edgeDeg - referenceDeg)
  return {
    rollsHrc: mean(cell => middle(cell) - cell.gapHrc / 2),
    chipsHrc: mean(cell => middle(cell) + cell.gapHrc / 2),
  }
}
