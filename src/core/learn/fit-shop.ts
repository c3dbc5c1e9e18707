import { CholeskyDecomposition, Matrix, solve as solveSystem } from 'ml-matrix'
import { median } from 'simple-statistics'
import { LEARNING } from '../../data/learning'
import { covariance, routeNearness, type ShopModel, type Standing } from '../steel/shop-model'

/** The mean of one group's readings at one stage, beside what was predicted without the shop's own experience. */
export interface Observation extends Standing {
  readonly batchId: string
  /** Measured less predicted, HRC. */
  readonly residual: number
  readonly readings: number
}

/** Errors of prediction on batches left out of the fit, HRC (root of the mean square). */
export interface HeldOut {
  readonly chart: number
  readonly shop: number
  readonly readings: number
}

export interface ShopFit {
  readonly model: ShopModel
  readonly heldOut: HeldOut
  readonly byGrade: Readonly<Record<string, HeldOut>>
  /** Observations set aside because another cause is likelier than the steel, oven or lot. */
  readonly setAside: readonly Observation[]
  /** Grades whose batches agree on being far from the prediction, HRC: learnt from, and a reason to look at tester, steel and oven. */
  readonly strange: readonly { readonly gradeId: string; readonly offHrc: number; readonly batches: number }[]
}

/**
 * Fits the shop's correction and tries it on every batch in turn, left out. The strength that foretells left-out
 * batches best is kept; strength 0 is the chart alone, so the correction is used only where it helps. The scatter between batches
 * is estimated with it. Looks at the newest observations only. Null without observations.
 */
export function fitShop(observations: readonly Observation[]): ShopFit | null {
  const newest = [...observations].sort((a, b) => b.day - a.day).slice(0, LEARNING.most)
  const judged = newest.map(one => ({ one, agreed: agreedOffOf(one, newest) }))
  const isFar = (offHrc: number) => Math.abs(offHrc) > LEARNING.outlierHrc
  const setAside = judged.filter(({ one, agreed }) => isFar(one.residual - (agreed?.offHrc ?? 0))).map(({ one }) => one)
  const used = newest.filter(one => !setAside.includes(one))
  if (used.length === 0) return null
  const batchSdHrc = scatterOf(used)
  const tried = LEARNING.strengths.map(strength => ({ strength, ...solve(used, strength, batchSdHrc) }))
  const chart = tried[0] as (typeof tried)[number]
  const best = tried.reduce((a, b) => (rms(used, b.left) < rms(used, a.left) ? b : a))
  const chosen = rms(used, best.left) < rms(used, chart.left) * (1 - LEARNING.leastGain) ? best : chart
  const errorsOf = (rows: readonly Observation[]): HeldOut => {
    const errors = (left: readonly number[]) =>
      rms(
        rows,
        rows.map(row => left[used.indexOf(row)] ?? 0),
      )
    return { chart: errors(chart.left), shop: errors(chosen.left), readings: count(rows) }
  }
  const grades = [...new Set(used.map(o => o.gradeId))]
  const chartBetterFor = grades.filter(gradeId => {
    const own = used.filter(o => o.gradeId === gradeId)
    const { chart: ofChart, shop } = errorsOf(own)
    return new Set(own.map(o => o.batchId)).size >= LEARNING.leastBatchesToJudge && shop > ofChart
  })
  // What is not used there is not told as what is used.
  const heldOut = (rows: readonly Observation[]): HeldOut => {
    const kept = rows.map(row => (chartBetterFor.includes(row.gradeId) ? chart : chosen).left[used.indexOf(row)] ?? 0)
    return { ...errorsOf(rows), shop: rms(rows, kept) }
  }
  const byGrade = Object.fromEntries(grades.map(name => [name, heldOut(used.filter(o => o.gradeId === name))]))
  return {
    model: {
      strength: chosen.strength,
      batchSdHrc,
      rows: used.map(({ gradeId, lot, ovenId, day, austenitizeC, coldC, parameter }) => ({
        gradeId,
        lot,
        ovenId,
        day,
        austenitizeC,
        coldC,
        parameter,
      })),
      alpha: chosen.alpha,
      inverse: chosen.inverse,
      chartBetterFor,
      readings: Object.fromEntries(grades.map(name => [name, count(used.filter(o => o.gradeId === name))])),
      lastDay: Math.max(...used.map(o => o.day)),
    },
    heldOut: heldOut(used),
    byGrade,
    setAside,
    strange: grades.flatMap(gradeId => {
      const far = judged.flatMap(({ one, agreed }) =>
        one.gradeId === gradeId && agreed && isFar(agreed.offHrc) ? [agreed] : [],
      )
      const most = far.sort((a, b) => Math.abs(b.offHrc) - Math.abs(a.offHrc))[0]
      return most ? [{ gradeId, ...most }] : []
    }),
  }
}

/** Observations this near in their route are of one kind. */
const ALIKE = 0.5

/** Returns what the batches of an observation's grade and kind of route agree to be off by, HRC; null where too few do. */
function agreedOffOf(one: Observation, all: readonly Observation[]) {
  const { batches, share, withinHrc } = LEARNING.consistent
  const alike = all.filter(other => other.gradeId === one.gradeId && routeNearness(one, other) >= ALIKE)
  const count = new Set(alike.map(other => other.batchId)).size
  if (count < batches) return null
  const offHrc = median(alike.map(other => other.residual))
  const agreeing = alike.filter(other => Math.abs(other.residual - offHrc) <= withinHrc)
  return agreeing.length >= share * alike.length ? { offHrc, batches: count } : null
}

const count = (rows: readonly Observation[]) => rows.reduce((sum, row) => sum + row.readings, 0)

/** Root mean square of errors, each observation by its readings. */
const rms = (rows: readonly Observation[], errors: readonly number[]): number =>
  Math.sqrt(rows.reduce((sum, row, i) => sum + row.readings * (errors[i] ?? 0) ** 2, 0) / Math.max(1, count(rows)))

/** Returns the covariance of the residuals. */
function covariances(rows: readonly Observation[], strength: number, batchSdHrc: number): Matrix {
  const { testerSdHrc, readingSdHrc } = LEARNING
  const k = Matrix.zeros(rows.length, rows.length)
  rows.forEach((a, i) => {
    rows.forEach((b, j) => {
      const sameBatch = a.batchId === b.batchId && a.gradeId === b.gradeId ? batchSdHrc ** 2 : 0
      const own = i === j ? testerSdHrc ** 2 + readingSdHrc ** 2 / a.readings : 0
      k.set(i, j, covariance(a, b, strength) + sameBatch + own)
    })
  })
  return k
}

/** Weights, inverse covariance and the error on each observation with its whole batch left out. */
function solve(rows: readonly Observation[], strength: number, batchSdHrc: number) {
  const inverse = new CholeskyDecomposition(covariances(rows, strength, batchSdHrc)).solve(Matrix.eye(rows.length))
  const residual = Matrix.columnVector(rows.map(row => row.residual))
  const alpha = inverse.mmul(residual).getColumn(0)
  return { alpha, inverse: inverse.to2DArray(), left: leftOut(rows, inverse, alpha) }
}

/**
 * Returns the scatter between batches, HRC: the root of its variance's mean over the posterior on a grid, with a log-normal prior.
 * Source: marginal likelihood, Rasmussen and Williams (2006), eq. 5.8.
 */
function scatterOf(rows: readonly Observation[]): number {
  const { batchSdHrc, batchSdSpread, batchSdsTried } = LEARNING
  const residual = Matrix.columnVector(rows.map(row => row.residual))
  const logs = batchSdsTried.map(sd => {
    const cholesky = new CholeskyDecomposition(covariances(rows, 1, sd))
    const fit = residual.dot(cholesky.solve(residual))
    const logRootDet = cholesky.lowerTriangularMatrix.diagonal().reduce((sum, d) => sum + Math.log(d), 0)
    return -fit / 2 - logRootDet - (Math.log(sd / batchSdHrc) / batchSdSpread) ** 2 / 2
  })
  const most = Math.max(...logs)
  const weights = logs.map(log => Math.exp(log - most))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return Math.sqrt(batchSdsTried.reduce((sum, sd, i) => sum + ((weights[i] ?? 0) / total) * sd ** 2, 0))
}

/**
 * Error of prediction of each batch from the others: [K⁻¹]ᵦ⁻¹·(K⁻¹r)ᵦ for its rows.
 * Source: Rasmussen and Williams (2006), eq. 5.12, for blocks.
 */
function leftOut(rows: readonly Observation[], inverse: Matrix, alpha: readonly number[]): number[] {
  const errors = new Array<number>(rows.length).fill(0)
  for (const batchId of new Set(rows.map(row => row.batchId))) {
    const own = rows.flatMap((row, i) => (row.batchId === batchId ? [i] : []))
    const block = inverse.selection(own, own)
    const weights = Matrix.columnVector(own.map(i => alpha[i] ?? 0))
    const error = solveSystem(block, weights)
    own.forEach((row, i) => {
      errors[row] = error.get(i, 0)
    })
  }
  return errors
}
