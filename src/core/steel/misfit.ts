import { mean as meanOf, rootMeanSquare } from 'simple-statistics'
import type { Grade } from '../../data/grades'
import { finalHrc } from './hrc-path'
import { referenceRoute } from './route'

export interface MisfitRow {
  readonly temperC: number
  readonly chartHrc: number
  /** Hardness by composition alone on the chart's own route, HRC. */
  readonly modelHrc: number
}

/** The whole chart lies off its composition, or one row of it, HRC. */
export type MisfitDoubt =
  | { readonly code: 'whole-chart'; readonly meanHrc: number }
  | { readonly code: 'one-row'; readonly temperC: number; readonly offHrc: number }

export interface Misfit {
  readonly rows: readonly MisfitRow[]
  /** Root mean square of chart less model, HRC. */
  readonly rmsHrc: number
  readonly worst: MisfitRow
  /** Explanation that the misfit suggests; null if chart and composition agree. */
  readonly doubt: MisfitDoubt | null
}

/** Chart and composition of one sheet should agree within this, HRC: twice the composition model's own error. */
const AGREES_HRC = 1.6

/** How well a sheet's chart and its composition agree, point by point; null without a chart. */
export function misfitOf(grade: Grade): Misfit | null {
  const { chart } = grade
  if (!chart || chart.points.length === 0) return null
  const bare = { composition: grade.nominal, made: grade.made }
  const rows = chart.points.map(([temperC, chartHrc]) => ({
    temperC,
    chartHrc,
    modelHrc: finalHrc(bare, referenceRoute(chart, temperC)),
  }))
  const off = (row: MisfitRow) => row.chartHrc - row.modelHrc
  const mean = meanOf(rows.map(off))
  const worst = rows.reduce((a, b) => (Math.abs(off(b)) > Math.abs(off(a)) ? b : a))
  return {
    rows,
    rmsHrc: rootMeanSquare(rows.map(off)),
    worst,
    doubt: doubtOf(mean, off(worst), worst),
  }
}

function doubtOf(meanHrc: number, offHrc: number, { temperC }: MisfitRow): MisfitDoubt | null {
  if (Math.abs(meanHrc) > AGREES_HRC) return { code: 'whole-chart', meanHrc }
  return Math.abs(offHrc) > 2 * AGREES_HRC ? { code: 'one-row', temperC, offHrc } : null
}
