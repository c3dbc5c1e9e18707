import { ALUMINIUM_6061, STEEL_THERMAL } from '../../data/thermal'
import type { WorkingLine } from '../result'

export interface PlateSet {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
}

export interface PlateQuenchRequest {
  readonly blade: { readonly thicknessMm: number; readonly widthMm: number; readonly lengthMm: number }
  readonly fromC: number
  readonly plates: PlateSet
  readonly plateStartC: number
  /** Between blade and plate through the clamped foil, W/m²K. */
  readonly contactWPerM2K: number
  /** From the plates to air, W/m²K. */
  readonly airWPerM2K: number
  readonly martensiteStartC: number
  readonly ambientC: number
}

export interface PlateQuench {
  /** Seconds to reach each temperature, °C → s; null when not reached in the time followed. */
  readonly secondsTo: Readonly<Record<number, number | null>>
  readonly plateEndC: number
  readonly platePeakC: number
  /** [seconds, blade °C, plate °C] */
  readonly curve: readonly (readonly [s: number, bladeC: number, plateC: number])[]
  readonly working: readonly WorkingLine[]
}

const FOLLOWED_S = 900
const STEP_S = 0.05
const MARKS_C = [800, 500, 300, 100, 60] as const

/**
 * A blade clamped between two plates, each lumped: blade | contact | plates | air. It leaves out the temperature
 * gradient inside the plates and under the blade, so plates look a little cooler to the blade than they are and times
 * come out about a tenth short (3 mm: 16 s to 180 °C against 18 s in one dimension). The martensite’s own heat is in.
 * Range: 1 to 8 mm blades, plates at least three times as thick as the blade.
 */
export function plateQuench(request: PlateQuenchRequest): PlateQuench {
  const { blade, plates, fromC, martensiteStartC: msC, ambientC } = request
  const { cooling, densityKgPerM3 } = STEEL_THERMAL
  const bladeArea = (blade.widthMm * blade.lengthMm) / 1e6
  const bladeKg = bladeArea * (blade.thicknessMm / 1000) * densityKgPerM3
  const plateVolume = (plates.thicknessMm * plates.widthMm * plates.lengthMm) / 1e9
  const plateCapacity = 2 * plateVolume * ALUMINIUM_6061.densityKgPerM3 * ALUMINIUM_6061.cp
  // Both outer faces and the edges of two plates.
  const plateArea =
    (2 * (plates.widthMm * plates.lengthMm + plates.thicknessMm * (plates.widthMm + plates.lengthMm))) / 1e6
  const contact = 2 * bladeArea * request.contactWPerM2K
  const toAir = plateArea * request.airWPerM2K

  let bladeC = fromC
  let plateC = request.plateStartC
  let platePeakC = plateC
  // Hottest first: each is passed once.
  const marks = [...new Set([...MARKS_C, Math.round(msC)])].sort((x, y) => y - x)
  const passed: number[] = []
  const curve: [number, number, number][] = [[0, bladeC, plateC]]
  for (let step = 1; step * STEP_S <= FOLLOWED_S; step++) {
    const s = step * STEP_S
    // d(martensite)/dT by Koistinen-Marburger gives heat back as an addition to the heat capacity.
    const transforming = bladeC < msC ? cooling.martensiteJPerKg * 0.011 * Math.exp(-0.011 * (msC - bladeC)) : 0
    const cp = cooling.cp0 + cooling.cpPerC * bladeC + transforming
    const flow = contact * (bladeC - plateC)
    bladeC -= (flow * STEP_S) / (bladeKg * cp)
    plateC += ((flow - toAir * (plateC - ambientC)) * STEP_S) / plateCapacity
    platePeakC = Math.max(platePeakC, plateC)
    while (passed.length < marks.length && bladeC <= (marks[passed.length] as number)) passed.push(s)
    if (step % (s < 20 ? 5 : 40) === 0) curve.push([s, bladeC, plateC])
  }
  return {
    secondsTo: Object.fromEntries(marks.map((mark, i) => [mark, passed[i] ?? null])),
    plateEndC: plateC,
    platePeakC,
    curve,
    working: [
      {
        name: 'Contact',
        value: request.contactWPerM2K,
        unit: 'W/m²K',
        equation: 'q = h(T_blade − T_plate), both faces',
        source: 'common practice, no published source: 300 to 1200 for clamped foil',
      },
      {
        name: 'Heat in the blade',
        value: bladeKg * (cooling.cp0 + (cooling.cpPerC * fromC) / 2) * (fromC - 20),
        unit: 'J',
        equation: 'm∫c dT',
        source: STEEL_THERMAL.source,
      },
      {
        name: 'Heat capacity of the plates',
        value: plateCapacity,
        unit: 'J/K',
        equation: 'ρVc, two plates',
        source: ALUMINIUM_6061.source,
      },
      {
        name: 'Heat of martensite',
        value: cooling.martensiteJPerKg,
        unit: 'J/kg',
        equation: 'spread over Ms − T by Koistinen and Marburger',
        source: STEEL_THERMAL.source,
      },
    ],
  }
}
