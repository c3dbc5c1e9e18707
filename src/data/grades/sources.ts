import type { AnnealCycle, Grade, TemperingChart } from './grade'

export const MEMORY = 'from memory'
export const PRACTICE = 'common practice, no published source'
export const EN_STAINLESS = `EN 10088, ${MEMORY}`
export const ISO_TOOL = `ISO 4957, ${MEMORY}`
export const MILL = `mill practice for the standard grade, ${MEMORY}`
export const ASM_HEAT = `ASM handbook, heat treating, ${MEMORY}`

/** Annealing of chromium grades: calculations in docs/method.md. */
export const FULL_ANNEAL: AnnealCycle = { atC: 900, holdMin: 120, coolCPerH: 15, downToC: 650, source: PRACTICE }
export const STRESS_RELIEF: Grade['stressRelief'] = { atC: 650, holdMin: 60, source: PRACTICE }

/** A chart of single two-hour tempers after cooling to room temperature, the way handbooks give them. */
export const handbookChart = (
  austenitizeC: number,
  soakMin: number,
  source: string,
  points: TemperingChart['points'],
  temperCount = 1,
): TemperingChart => ({
  reference: { austenitizeC, soakMin, quenchedToC: 25, coldToC: null, temperHoldMin: 120, temperCount },
  points,
  source,
  recalled: true,
})

/** Of the maker's own sheets: what was filled in from the composition, and what stands on the sheet. */
export const SUGGESTED = 'suggested from the composition'
export const SUPPLIER = 'the supplier’s sheet'
