import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { mean } from 'simple-statistics'
import { CORRECTION } from '../../data/correction'
import { LEARNING } from '../../data/learning'
import { predictedAt, routeUpTo, stagesOf } from '../batch/hardness-stages'
import { routeAsRun } from '../batch/route-as-run'
import { groupHardness } from '../hardness/hardness'
import { compareInstants } from '../numeric/instants'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'

/** How much hotter than it shows an oven acts, by the hardness that came out of it. */
export interface HardnessOffset {
  readonly offsetK: number
  readonly sdK: number
  /** Mean austenitize temperature of what spoke, °C. */
  readonly atC: number
  readonly readings: number
  readonly batches: number
}

interface Row {
  readonly batchId: string
  readonly gradeId: string
  readonly lot: string
  readonly austenitizeC: number
  readonly readings: number
  /** Measured less predicted at each of the offsets tried, HRC. */
  readonly residual: readonly number[]
}

const OFFSETS_K = Array.from({ length: 25 }, (_, i) => -60 + 5 * i)
/** Batches looked at, the newest: an oven of a year ago is another oven. */
const MOST_BATCHES = 12
const LEAST_READINGS = 4

/**
 * The offset at which an oven's batches would have come out as they did: a posterior over −60 to 60 K, where grade, lot and batch
 * may be off by themselves (their covariances are those of learning). Null with too few readings, or where hardness hardly speaks
 * of temperature there.
 */
export function ovenOffset(
  batches: readonly Batch[],
  readings: readonly Reading[],
  tester: Tester,
  ovenId: string,
): HardnessOffset | null {
  const own = batches
    .filter(batch => batch.ovenId === ovenId && batch.deletedAt === null)
    .sort((a, b) => compareInstants(b.createdAt, a.createdAt))
  const rows = own
    .filter(batch => readings.some(r => r.batchId === batch.id && r.deletedAt === null))
    .slice(0, MOST_BATCHES)
    .flatMap(batch => rowsOf(batch, readings, tester))
    .filter(row => Math.min(...row.residual.map(Math.abs)) < LEARNING.outlierHrc)
  const count = rows.reduce((sum, row) => sum + row.readings, 0)
  if (count < LEAST_READINGS) return null
  const inverse = new CholeskyDecomposition(covarianceOf(rows)).solve(Matrix.eye(rows.length))
  const logs = OFFSETS_K.map((offset, i) => {
    const r = Matrix.columnVector(rows.map(row => row.residual[i] ?? 0))
    return -0.5 * (r.transpose().mmul(inverse).mmul(r).get(0, 0) + (offset / (2 * CORRECTION.priorSdK)) ** 2)
  })
  const top = Math.max(...logs)
  const weights = logs.map(log => Math.exp(log - top))
  const total = weights.reduce((a, b) => a + b, 0)
  const offsetK = OFFSETS_K.reduce((sum, k, i) => sum + k * ((weights[i] as number) / total), 0)
  const variance = OFFSETS_K.reduce((sum, k, i) => sum + (k - offsetK) ** 2 * ((weights[i] as number) / total), 0)
  return {
    offsetK,
    sdK: Math.sqrt(variance + 2),
    atC: mean(rows.map(row => row.austenitizeC)),
    readings: count,
    batches: new Set(rows.map(row => row.batchId)).size,
  }
}

function rowsOf(batch: Batch, readings: readonly Reading[], tester: Tester): Row[] {
  const own = readings.filter(r => r.batchId === batch.id && r.deletedAt === null)
  return batch.groups.flatMap(group => {
    const grade = gradeOf(group)
    if (!grade) return []
    return stagesOf(group.route).flatMap((stage): Row[] => {
      const hardness = groupHardness(batch, group.id, stage, { readings: own, tester })
      if (!hardness || hardness.n === 0) return []
      const route = routeUpTo(routeAsRun(batch, group), stage)
      const residual = OFFSETS_K.map(k => {
        const at = predictedAt(predict(grade, { ...route, austenitizeC: route.austenitizeC + k }), stage)
        return at === null ? Number.NaN : hardness.hrc - at
      })
      if (residual.some(Number.isNaN)) return []
      return [
        {
          batchId: batch.id,
          gradeId: grade.id,
          lot: group.lot ?? '',
          austenitizeC: route.austenitizeC,
          readings: hardness.n,
          residual,
        },
      ]
    })
  })
}

function covarianceOf(rows: readonly Row[]): Matrix {
  const { gradeSdHrc, lotSdHrc, batchSdHrc, testerSdHrc, readingSdHrc } = LEARNING
  const k = Matrix.zeros(rows.length, rows.length)
  rows.forEach((a, i) => {
    rows.forEach((b, j) => {
      const same = a.gradeId === b.gradeId
      k.set(
        i,
        j,
        testerSdHrc ** 2 +
          (same ? gradeSdHrc ** 2 : 0) +
          (same && a.lot !== '' && a.lot === b.lot ? lotSdHrc ** 2 : 0) +
          (same && a.batchId === b.batchId ? batchSdHrc ** 2 : 0) +
          (i === j ? readingSdHrc ** 2 / a.readings : 0),
      )
    })
  })
  return k
}
