import type { Grade } from '../../../data/grades'
import { finalHrc } from '../predict'
import { referenceRoute } from '../route'

export interface MisfitRow {
  readonly temperC: number
  readonly chartHrc: number
  /** What the composition alone would give on the chart's own route, HRC. */
  readonly modelHrc: number
}

export interface Misfit {
  readonly rows: readonly MisfitRow[]
  /** Root mean square of chart less model, HRC. */
  readonly rmsHrc: number
  readonly worst: MisfitRow
  /** What the misfit suggests, in plain words; null where chart and composition agree. */
  readonly doubt: string | null
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
  const mean = rows.reduce((sum, row) => sum + off(row), 0) / rows.length
  const worst = rows.reduce((a, b) => (Math.abs(off(b)) > Math.abs(off(a)) ? b : a))
  return {
    rows,
    rmsHrc: Math.sqrt(rows.reduce((sum, row) => sum + off(row) ** 2, 0) / rows.length),
    worst,
    doubt: doubtOf(mean, off(worst), worst),
  }
}

function doubtOf(mean: number, worstOff: number, worst: MisfitRow): string | null {
  if (Math.abs(mean) > AGREES_HRC)
    return `The chart lies ${Math.abs(mean).toFixed(1)} HRC ${mean > 0 ? 'above' : 'below'} what this composition should give all along. Check the soak temperature, the cold and the carbon on the sheet: the chart may be from another route or another steel.`
  if (Math.abs(worstOff) > 2 * AGREES_HRC)
    return `At ${Math.round(worst.temperC)} °C the chart is ${Math.abs(worstOff).toFixed(1)} HRC away from what its neighbours and this composition suggest. Check that row.`
  return null
}
