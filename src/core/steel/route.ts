import { COLD_WITHIN_MIN } from '../../data/delays'
import type { TemperingChart } from '../../data/grades'
import type { StartStructure } from './austenite'
import type { Temper } from './tempering'

export interface ColdTreatment {
  readonly toC: number
  readonly holdMin: number
  /** Minutes at room temperature between quench and cold. */
  readonly delayMin: number
  /** A short low temper before the cold, for shapes that crack, °C; absent: none. */
  readonly snapTemperC?: number | undefined
}

/** Returns a cold treatment as published figures state it: half an hour after the quench. Common practice, no published source. */
export const referenceCold = (toC: number): ColdTreatment => ({ toC, holdMin: 60, delayMin: 30 })

/** Returns a cold treatment as it is usually done: a freezer is slow and holds longer. Common practice, no published source. */
export const usualCold = (toC: number): ColdTreatment => ({
  toC,
  holdMin: toC > -40 ? 120 : 60,
  delayMin: COLD_WITHIN_MIN,
})

/** The whole thermal history planned for a blade. */
export interface Route {
  readonly austenitizeC: number
  readonly soakMin: number
  readonly quenchedToC: number
  readonly cold: ColdTreatment | null
  readonly tempers: readonly Temper[]
  /** Structure the soak starts from; absent: annealed. */
  readonly start?: StartStructure | undefined
  /** Seconds the blade took from 800 to 500 °C; absent: as fast as the steel needs. */
  readonly seconds800to500?: number | undefined
  /** Minutes in which the blade comes nearer to its cold by a factor e; absent: it is there well within the hold. */
  readonly chillTauMin?: number | undefined
}

/** The route a grade's tempering chart was measured on, ending in a temper at a given temperature. */
export function referenceRoute(chart: TemperingChart, temperC: number | null): Route {
  const { austenitizeC, soakMin, quenchedToC, coldToC, temperHoldMin, temperCount } = chart.reference
  return {
    austenitizeC,
    soakMin,
    quenchedToC,
    cold: coldToC === null ? null : referenceCold(coldToC),
    tempers:
      temperC === null ? [] : Array.from({ length: temperCount }, () => ({ atC: temperC, holdMin: temperHoldMin })),
  }
}
