import type { System } from '../../units/quantity'
import { parseChartText } from './chart-text'

/** The parts of a pasted sheet. */
export interface SheetText {
  readonly composition: string
  readonly chart: string
}

/** A heading of a tempering table, or a line that names its scale. */
const CHART_HEADING = /°|\bhrc\b|temper/i
const ELEMENT_WITH_NUMBER = /[A-Za-z]{1,2}\s*[:=]?\s*\d|\d\s*%?\s*-?\s*(?:C|Cr|Mo|V|W|N|Ni|Co)\b/

/**
 * Parts the text of a sheet, line by line: rows that read as temper and hardness make the chart, with its headings; all else is the
 * composition's.
 * @example sheetTextIn('C 1.05 Cr 14\n200 60.5\n300 57', 'metric').chart // '200 60.5\n300 57'
 */
export function sheetTextIn(text: string, units: System): SheetText {
  const isOfChart = (line: string) =>
    parseChartText(line, units).rows.length === 1 || (CHART_HEADING.test(line) && !ELEMENT_WITH_NUMBER.test(line))
  const lines = text.split(/\r?\n/).filter(line => line.trim() !== '')
  return {
    composition: lines.filter(line => !isOfChart(line)).join('\n'),
    chart: lines.filter(isOfChart).join('\n'),
  }
}
