import { STEEL_THERMAL } from '../../data/thermal'
import { airLoss } from './air-loss'
import { coolingCapacity, coolingConductivity } from './steel-enthalpy'

export interface OneSided {
  /** Greatest difference from face to face, K. */
  readonly gradientK: number
  /** Elastic bow over the blade's length while it lasts, mm; what stays is not foretold. */
  readonly bowMm: number
}

/** Laid down unclamped, W/m²K, against 300 to 1200 clamped. Common practice, no published source. */
const LAID_WPERM2K = 300
/** Austenite's expansion, per K. Handbook value, from memory. */
const EXPANSION_PER_K = 18e-6
const CELLS = 12
const DT_S = 0.001

/**
 * A blade laid on one plate before it is clamped: cooled from one face it bows, hot side out. Explicit conduction through the
 * thickness; bow α·ΔT·L²/(8t).
 */
export function oneSidedBow(
  blade: { readonly thicknessMm: number; readonly lengthMm: number },
  fromC: number,
  plateC: number,
  seconds: number,
): OneSided {
  const dx = blade.thicknessMm / 1000 / CELLS
  const t = new Float64Array(CELLS).fill(fromC)
  const flow = new Float64Array(CELLS + 1)
  let gradientK = 0
  for (let s = 0; s < seconds; s += DT_S) {
    flow[0] = (plateC - (t[0] as number)) / (1 / LAID_WPERM2K + dx / 2 / coolingConductivity(t[0] as number))
    for (let i = 1; i < CELLS; i++) {
      const k = coolingConductivity(((t[i - 1] as number) + (t[i] as number)) / 2)
      flow[i] = (k * ((t[i - 1] as number) - (t[i] as number))) / dx
    }
    // The upper face glows into the room through its foil, which evens the blade a little.
    flow[CELLS] = airLoss(t[CELLS - 1] as number, 'still-air', true, plateC)
    for (let i = 0; i < CELLS; i++)
      t[i] =
        (t[i] as number) +
        (((flow[i] as number) - (flow[i + 1] as number)) * DT_S) /
          (STEEL_THERMAL.densityKgPerM3 * coolingCapacity(t[i] as number, 0) * dx)
    gradientK = Math.max(gradientK, (t[CELLS - 1] as number) - (t[0] as number))
  }
  const lengthM = blade.lengthMm / 1000
  return { gradientK, bowMm: (1000 * EXPANSION_PER_K * gradientK * lengthM ** 2) / (8 * (blade.thicknessMm / 1000)) }
}
