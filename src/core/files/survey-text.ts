import { fail, ok, type Result } from '../codes/result'
import type { OvenSurvey } from '../oven/evidence'
import { parseQuantity, type System } from '../units/quantity'

const COLDEST_C = 50
const HOTTEST_C = 1350

/**
 * Readings typed in rows from the door to the back, each from left to right, as points of the chamber at half its height.
 * Errors: 'reading' (which one, and why), 'none'.
 */
export function parseSurvey(
  rows: readonly string[],
  chamberMm: { readonly width: number; readonly height: number; readonly depth: number },
  system: System,
): Result<OvenSurvey['points'][number][]> {
  const points: OvenSurvey['points'][number][] = []
  for (const [i, row] of rows.entries()) {
    const words = row
      .trim()
      .split(/[\s;/]+/)
      .filter(word => word !== '')
    for (const [j, word] of words.entries()) {
      const parsed = parseQuantity(word, 'temperature', system)
      if (!parsed.ok) return fail('survey-reading', { text: word, row: i + 1 }, `rows.${i}`)
      if (parsed.value < COLDEST_C || parsed.value > HOTTEST_C)
        return fail('survey-outside', { text: word, row: i + 1, atC: parsed.value }, `rows.${i}`)
      points.push({
        acrossMm: ((j + 0.5) / words.length) * chamberMm.width,
        upMm: chamberMm.height / 2,
        inMm: ((i + 0.5) / rows.length) * chamberMm.depth,
        c: parsed.value,
      })
    }
  }
  return points.length === 0 ? fail('survey-empty', {}) : ok(points)
}
