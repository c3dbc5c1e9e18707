import { LEARNING } from '../../data/learning'
import { STEEL_MODEL } from '../../data/steel-model'
import type { Estimate } from '../codes/result'

/** Where a reading, or a wish to predict one, stands. */
export interface Standing {
  readonly gradeId: string
  readonly lot: string
  readonly ovenId: string
  /** Day number of the batch. */
  readonly day: number
  readonly austenitizeC: number
  /** Coldest it was, °C: room temperature without cold. */
  readonly coldC: number
  /** Combined tempering parameter; null before the first temper. */
  readonly parameter: number | null
}

/** Model learnt from a shop's readings: plain data, so that it crosses to the worker. */
export interface ShopModel {
  readonly strength: number
  /** Scatter from batch to batch that these readings show, one standard deviation, HRC. */
  readonly batchSdHrc: number
  readonly rows: readonly Standing[]
  /** Weights of the residuals, and the inverse of their covariance. */
  readonly alpha: readonly number[]
  readonly inverse: readonly (readonly number[])[]
  /** Grades whose batches, left out, the chart foretells better: there it stays alone. */
  readonly chartBetterFor: readonly string[]
  /** Readings behind the rows, by grade. */
  readonly readings: Readonly<Record<string, number>>
  readonly lastDay: number
}

const square = (x: number) => x * x
const parameterOf = (s: Standing) => s.parameter ?? STEEL_MODEL.temper.from

/** Returns how near two standings lie in soak, cold and temper: 1 for the same route, towards 0 far from it. */
export function routeNearness(a: Standing, b: Standing): number {
  const { scales } = LEARNING
  const apart =
    square((a.austenitizeC - b.austenitizeC) / scales.austenitizeK) +
    square((a.coldC - b.coldC) / scales.coldK) +
    square((parameterOf(a) - parameterOf(b)) / scales.parameter)
  return Math.exp(-apart / 2)
}

/** Covariance of the correction at two standings, HRC²: grade, lot, oven and the route's neighbourhood. */
export function covariance(a: Standing, b: Standing, strength: number): number {
  const { gradeSdHrc, lotSdHrc, ovenSdHrc, routeSdHrc, scales } = LEARNING
  const sameGrade = a.gradeId === b.gradeId
  const grade = sameGrade ? square(gradeSdHrc) + square(routeSdHrc) * routeNearness(a, b) : 0
  const lot = sameGrade && a.lot !== '' && a.lot === b.lot ? square(lotSdHrc) : 0
  const oven = a.ovenId === b.ovenId ? square(ovenSdHrc) * Math.exp(-Math.abs(a.day - b.day) / scales.ovenDays) : 0
  return strength * (grade + lot + oven)
}

/** A correction to a prediction and what is left unknown of it, HRC. */
export interface Correction extends Estimate {
  /** Readings of the grade behind it. */
  readonly readings: number
  /** Nearness to the closest route of this grade that was read, 0..1. */
  readonly nearness: number
  readonly batchSdHrc: number
}

/**
 * Returns the correction of a prediction by the shop's own readings (Gaussian process on measured less predicted).
 * Null where the fit found that the chart alone foretells as well, for all or for this grade.
 * Source: Rasmussen and Williams (2006), Gaussian Processes for Machine Learning, algorithm 2.1.
 */
export function shopCorrection(model: ShopModel, at: Standing): Correction | null {
  if (model.strength === 0 || model.rows.length === 0 || model.chartBetterFor.includes(at.gradeId)) return null
  const k = model.rows.map(row => covariance(row, at, model.strength))
  const mean = k.reduce((sum, value, i) => sum + value * (model.alpha[i] ?? 0), 0)
  const explained = k.reduce(
    (sum, value, i) => sum + value * k.reduce((inner, other, j) => inner + other * (model.inverse[i]?.[j] ?? 0), 0),
    0,
  )
  const variance = Math.max(0, covariance(at, at, model.strength) - explained)
  const nearness = model.rows.reduce(
    (most, row) => (row.gradeId === at.gradeId ? Math.max(most, routeNearness(row, at)) : most),
    0,
  )
  return {
    mean,
    sd: Math.sqrt(variance),
    readings: model.readings[at.gradeId] ?? 0,
    nearness,
    batchSdHrc: model.batchSdHrc,
  }
}

/**
 * Returns the variance of a corrected prediction, HRC²: what the readings leave open, and the scatter between batches beyond that of the
 * oven and the operator. `knownVar` is the model's and the mill's, `runVar` the oven's and the operator's. Far from every route that was
 * read nothing was learnt of the model's error there, and it stays whole.
 */
export function correctedVariance(
  { sd, nearness, batchSdHrc }: Pick<Correction, 'sd' | 'nearness' | 'batchSdHrc'>,
  knownVar: number,
  runVar: number,
): { readonly readings: number; readonly batch: number } {
  return {
    readings: nearness * Math.min(square(sd), knownVar) + (1 - nearness) * knownVar,
    batch: Math.max(0, square(batchSdHrc) - runVar),
  }
}
