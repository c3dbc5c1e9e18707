import { DOOR_S } from '../../data/doors'
import { type DetailedOven, OvenModel } from './oven-model'

/**
 * Open for one pull, s: calibrated on the reference's drop of 24 °C and 50 to 60 s of a medium oven. Recovered within this of the soak
 * where the blades stand, K: common practice, no published source.
 */
const PULL_OPEN_S = DOOR_S.pull
const RECOVERED_K = 5
const SOAK_S = 1200
const STEP_S = 20
const FINE_S = 1
const LONGEST_S = 1200
const BAND_K = 14

const known = new Map<string, number>()

/**
 * Seconds from opening an oven at its soak for one pull until the chamber, which the display follows a while later, is back, by
 * its wall model, empty but for its furniture. A medium oven: 50 to 60 s. Kept by the oven's figures.
 */
export function doorRecoveryS(oven: DetailedOven, soakC: number): number {
  const key = `${JSON.stringify(oven)}/${Math.round(soakC)}`
  const found = known.get(key)
  if (found !== undefined) return found
  const model = new OvenModel(oven)
  let s = 0
  while (model.indicatedC < soakC && s < 6 * 3600) {
    model.step(1, false, STEP_S)
    s += STEP_S
  }
  let held = 0.5
  const share = () => {
    const error = soakC - model.indicatedC
    held = Math.min(1, Math.max(0, held + error * 4e-4))
    return Math.min(1, Math.max(0, held + error / BAND_K))
  }
  for (let soaked = 0; soaked < SOAK_S; soaked += STEP_S) model.step(share(), false, STEP_S)
  let after = 0
  let fell = false
  while (after < LONGEST_S) {
    model.step(share(), after < PULL_OPEN_S, FINE_S)
    after += FINE_S
    if (model.chamberC < soakC - RECOVERED_K) fell = true
    else if (fell || after > 4 * PULL_OPEN_S) break
  }
  known.set(key, after)
  return after
}
