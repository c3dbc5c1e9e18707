import { PROTECTION, type ProtectionName, SKIN_SHARE } from '../../data/protection'
import type { WorkingLine } from '../result'
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
  /** Length of foil this batch takes, m, and its price; null where no plan stands yet. */
  readonly foilM: number | null
  readonly foilPricePerM: number
  readonly prices: Prices
}

export interface Prices {
  readonly coatPerM2: number
  readonly argonPerPacket: number
  /** Argon from the bottle, a cubic metre at the pressure of the room. */
  readonly argonPerM3: number
  readonly vacuumPerBlade: number
  readonly abrasivesPerBareBlade: number
  /** What an hour of the maker's is worth. */
  readonly hour: number
}

export interface ProtectionRow {
  readonly name: ProtectionName
  readonly label: string
  /** Money for material, and hours of work, for the batch. */
  readonly material: number
  readonly hours: number
  readonly total: number
  readonly finish: string
  readonly risk: string
  /** Steel to leave on each side for grinding after, mm. */
  readonly allowanceMm: number
  /** Why it can not be used for this batch; null when it can. */
  readonly refused: string | null
  readonly working: readonly WorkingLine[]
}

/** The ways to keep air from this batch, cheapest that can be used first. */
export function compareProtection(request: ProtectionRequest): ProtectionRow[] {
  const { blades, steelAreaM2, hottestC, soakMin, foilM, foilPricePerM, prices } = request
  const p = PROTECTION
  const foil = foilFor(hottestC)
  const dear = foil.ok && foil.value.name === '309' ? p.hotFoilFactor : 1
  const foilCost = (foilM ?? 0) * foilPricePerM * dear
  const skin = decarburisedMm(hottestC, soakMin)
  const row = (
    name: ProtectionName,
    label: string,
    material: number,
    hours: number,
    rest: Pick<ProtectionRow, 'finish' | 'risk'> & { refused?: string | null },
  ): ProtectionRow => ({
    name,
    label,
    material,
    hours,
    total: material + hours * prices.hour,
    allowanceMm: skin * SKIN_SHARE[name],
    refused: null,
    ...rest,
    working: [
      {
        name: 'Material',
        value: material,
        unit: '',
        equation: 'amount · price',
        source: 'prices as set in the Workshop',
      },
      {
        name: 'Work',
        value: hours,
        unit: 'h',
        equation: `${blades} blades, at ${prices.hour} an hour`,
        source: 'common practice, no published source',
      },
      {
        name: 'Skin that would lose carbon bare',
        value: skin,
        unit: 'mm',
        equation: '√(Dt), D = D0·exp(−Q/RT)',
        source: p.carbonDiffusion.source,
      },
    ],
  })
  const noFoil = foil.ok ? (foilM === null ? 'No cut plan stands yet.' : null) : (foil.problems[0]?.message ?? null)
  const rows = [
    row('foil', 'Foil', foilCost, blades * (p.foil.wrappingHPerBlade + p.foil.cleaningHPerBlade), {
      finish: 'clean, a grey bloom',
      risk: 'a leak spoils one blade',
      refused: noFoil,
    }),
    row(
      'argon',
      'Foil, argon poured in',
      foilCost + blades * prices.argonPerPacket,
      blades * (p.argon.wrappingHPerBlade + p.argon.cleaningHPerBlade),
      {
        finish: 'bright',
        risk: 'gas in a closed room',
        refused: noFoil,
      },
    ),
    row(
      'argon-oven',
      'Bare, argon through the oven',
      ((p.argonOven.litresPerMin * p.argonOven.minutes) / 1000) * prices.argonPerM3,
      blades * p.argonOven.cleaningHPerBlade,
      {
        finish: 'thin scale: a bench oven is not tight',
        risk: 'gas in the room for the whole heat; only in an oven made for it',
      },
    ),
    row(
      'coat',
      'Anti-scale coat',
      steelAreaM2 * prices.coatPerM2,
      blades * p.coat.cleaningHPerBlade + p.coat.dryingH / 4,
      {
        finish: `grey, to be sanded; coat on a ${p.coat.finishGrit}-grit finish, ${p.coat.dryingH} h to dry`,
        risk: 'flakes where it was thin, and in oil',
      },
    ),
    row('bare', 'Bare, ground after', blades * prices.abrasivesPerBareBlade, blades * p.bare.cleaningHPerBlade, {
      finish: 'scale all over',
      risk: 'soft skin if ground too little, and a thin edge is lost',
    }),
    row('vacuum', 'Sent out to vacuum', blades * prices.vacuumPerBlade, 0.5, {
      finish: 'bright',
      risk: `${p.vacuum.daysAway} days away, their route and not yours`,
    }),
  ]
  return rows.sort((a, b) => Number(a.refused !== null) - Number(b.refused !== null) || a.total - b.total)
}
