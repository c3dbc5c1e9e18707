import { FOIL_THERMAL, STEFAN_BOLTZMANN } from '../../data/thermal'
import { airConductivity } from '../oven/lag'
import { kelvinFromC } from '../units/temperature'

/**
 * Heat transfer without plates, W/m²K, a bare blade's emissivity, and how warm the medium is kept, °C. Calibrated on the reference
 * seconds of bare blades in air and in oil; each lies within what textbooks give (from memory). Foil is not calibrated.
 */
export const MEDIA = {
  'still-air': { h: 10, emissivity: 0.7, keptC: null },
  'fan-air': { h: 60, emissivity: 0.7, keptC: null },
  /** Quench oil is used warm: it is thinner then. Common practice, no published source. */
  oil: { h: 1000, emissivity: 0, keptC: 60 },
  /** 2·k·H for a fast oil that is well stirred: Grossmann severity H about 0.7 an inch, k 35 W/mK. Handbook values, from memory. */
  'fast-oil': { h: 1900, emissivity: 0, keptC: 60 },
} as const
type Medium = keyof typeof MEDIA

/** Whether a medium is a quench oil. */
export const isOil = (medium: string): boolean => medium === 'oil' || medium === 'fast-oil'

/** Returns the temperature of a medium in a room, °C. */
export const mediumC = (medium: Medium, ambientC: number): number => Math.max(ambientC, MEDIA[medium].keptC ?? ambientC)

/** Returns the heat flux of a face without plates, W/m². Oil wets the blade itself: no foil. */
export function airLoss(c: number, medium: Medium, wrapped: boolean, ambientC: number): number {
  const { h, emissivity } = MEDIA[medium]
  const sinkC = mediumC(medium, ambientC)
  if (wrapped && !isOil(medium)) return throughFoil(c, h, sinkC)
  return h * (c - sinkC) + emissivity * STEFAN_BOLTZMANN * (kelvinFromC(c) ** 4 - kelvinFromC(sinkC) ** 4)
}

/** As far as the foil's own temperature is followed, K, and for how many steps of Newton at most. */
const WITHIN_K = 0.01
const MOST_STEPS = 12

/**
 * The same through foil that hangs about the blade with its gap of air: it takes from the blade what it gives to the room, which
 * sets its temperature.
 */
function throughFoil(c: number, h: number, sinkC: number): number {
  const { emissivityOutside, emissivityInside, emissivityBlade, gapMm } = FOIL_THERMAL
  const inside = STEFAN_BOLTZMANN / (1 / emissivityInside + 1 / emissivityBlade - 1)
  const outside = STEFAN_BOLTZMANN * emissivityOutside
  const [hot, sink] = [kelvinFromC(c), kelvinFromC(sinkC)]
  const given = (foil: number) => h * (foil - sink) + outside * (foil ** 4 - sink ** 4)
  let foil = (hot + sink) / 2
  for (let i = 0; i < MOST_STEPS; i++) {
    const gap = airConductivity((c + foil - kelvinFromC(0)) / 2) / (gapMm / 1000)
    const surplus = gap * (hot - foil) + inside * (hot ** 4 - foil ** 4) - given(foil)
    const step = surplus / (gap + h + 4 * (inside + outside) * foil ** 3)
    foil += step
    if (Math.abs(step) < WITHIN_K) break
  }
  return given(foil)
}
