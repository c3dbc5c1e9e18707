import { PROTECTION, type ProtectionName, SKIN_SHARE } from '../../data/protection'
import type { Problem } from '../codes/problem'
import { type WorkingLine, worked } from '../codes/working'
import { kelvinFromC } from '../units/temperature'
import { foilFor } from './foil-type'

const GAS_CONSTANT = 8.314

/**
 * Depth from which a bare blade loses carbon in the soak, mm: √(Dt), D of carbon in austenite. Stainless scale slows it, so
 * it is the deeper side of the truth.
 * @example decarburisedMm(1065, 20) // 0.21
 */
export function decarburisedMm(atC: number, minutes: number): number {
  const { d0M2PerS, qJPerMol } = PROTECTION.carbonDiffusion
  const d = d0M2PerS * Math.exp(-qJPerMol / (GAS_CONSTANT * kelvinFromC(atC)))
  return 1000 * Math.sqrt(d * minutes * 60)
}

export interface ProtectionRequest {
  readonly blades: number
  readonly steelAreaM2: number
  readonly hottestC: number
  readonly soakMin: number
  /** Cost of the foil of this batch; null while there is no cut plan. */
  readonly foilCost: number | null
  readonly prices: Prices
}

export interface Prices {
  readonly coatPerM2: number
  readonly argonPerPacket: number
  /** Argon from the bottle, a cubic metre at the pressure of the room. */
  readonly argonPerM3: number
  readonly vacuumPerBlade: number
  readonly abrasivesPerBareBlade: number
  /** Price of an hour of the maker's work. */
  readonly hour: number
}

/** No cut plan says how much foil it takes, or no foil stands the heat. */
export type ProtectionRefusal =
  | { readonly code: 'no-cut-plan' }
  | { readonly code: 'problem'; readonly problem: Problem }

export interface ProtectionRow {
  readonly name: ProtectionName
  /** Money for material, and hours of work, for the batch. */
  readonly material: number
  readonly hours: number
  readonly total: number
  /** Steel to leave on each side for grinding after, mm. */
  readonly allowanceMm: number
  /** Why it cannot be used for this batch; null when it can. */
  readonly refused: ProtectionRefusal | null
  readonly working: readonly WorkingLine[]
}

/** The ways to keep air from this batch, cheapest that can be used first. */
export function compareProtection(request: ProtectionRequest): ProtectionRow[] {
  const { blades, steelAreaM2, hottestC, soakMin, prices } = request
  const p = PROTECTION
  const foil = foilFor(hottestC)
  const foilCost = request.foilCost ?? 0
  const skin = decarburisedMm(hottestC, soakMin)
  const row = (
    name: ProtectionName,
    material: number,
    hours: number,
    refused: ProtectionRefusal | null = null,
  ): ProtectionRow => ({
    name,
    material,
    hours,
    total: material + hours * prices.hour,
    allowanceMm: skin * SKIN_SHARE[name],
    refused,
    working: [
      worked('protection-material', material, 'money', {}),
      worked('protection-work', hours, 'h', { blades, hourPrice: prices.hour }),
      worked('skin-bare', skin, 'mm', {}),
    ],
  })
  const [noFoil] = foil.ok ? [] : foil.problems
  const refused: ProtectionRefusal | null = noFoil
    ? { code: 'problem', problem: noFoil }
    : request.foilCost === null
      ? { code: 'no-cut-plan' }
      : null
  const rows = [
    row('foil', foilCost, blades * (p.foil.wrappingHPerBlade + p.foil.cleaningHPerBlade), refused),
    row(
      'argon',
      foilCost + blades * prices.argonPerPacket,
      blades * (p.argon.wrappingHPerBlade + p.argon.cleaningHPerBlade),
      refused,
    ),
    row(
      'argon-oven',
      ((p.argonOven.litresPerMin * p.argonOven.minutes) / 1000) * prices.argonPerM3,
      blades * p.argonOven.cleaningHPerBlade,
    ),
    row('coat', steelAreaM2 * prices.coatPerM2, blades * p.coat.cleaningHPerBlade + p.coat.dryingH / 4),
    row('bare', blades * prices.abrasivesPerBareBlade, blades * p.bare.cleaningHPerBlade),
    row('vacuum', blades * prices.vacuumPerBlade, 0.5),
  ]
  return rows.sort((a, b) => Number(a.refused !== null) - Number(b.refused !== null) || a.total - b.total)
}
