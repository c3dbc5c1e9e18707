import type { Grade } from '../../data/grades'
import type { Temper } from './tempering'

export interface ColdTreatment {
  readonly toC: number
  readonly holdMin: number
  /** Minutes at room temperature between quench and cold. */
  readonly delayMin: number
}

/** The whole thermal history planned for a blade. */
export interface Route {
  readonly austenitizeC: number
  readonly soakMin: number
  readonly quenchedToC: number
  readonly cold: ColdTreatment | null
  readonly tempers: readonly Temper[]
}

/** The route a grade's tempering chart was measured on, ending in a temper at a given temperature. */
export function referenceRoute(chart: NonNullable<Grade['chart']>, temperC: number | null): Route {
  const { austenitizeC, soakMin, quenchedToC, coldToC, temperHoldMin, temperCount } = chart.reference
  return {
    austenitizeC,
    soakMin,
    quenchedToC,
    cold: coldToC === null ? null : { toC: coldToC, holdMin: 60, delayMin: 30 },
    tempers:
      temperC === null ? [] : Array.from({ length: temperCount }, () => ({ atC: temperC, holdMin: temperHoldMin })),
  }
}
