import { DOOR_S } from '../../data/doors'
import { type DetailedOven, OvenModel } from './oven-model'
import { clippedPi } from './programme-control'

/**
 * Open for one pull, s: calibrated on the reference's drop of 24 °C and 50 to 60 s of a medium oven. Recovered within this of the soak
 * where the blades stand, K: common practice, no published source.
 */
const PULL_OPEN_S = DOOR_S.pull
const RECOVERED_K = 5
const SOAK_S = 1800
const FULL_POWER_K = 50
const STEP_S = 5
const CLIMB_STEP_S = 20
const FINE_S = 1
const LONGEST_S = 1200
const LONGEST_CLIMB_S = 6 * 3600

const known = new Map<string, number>()

/**
 * Returns the seconds from opening an oven at its soak for one pull until its chamber is back within 5 K of the soak. The display
 * follows later. Uses the wall model, empty but for its furniture, under the controller of every other simulated heat. Cached per oven.
 * @example doorRecoveryS(mediumOven, 1065) // about 45; a reference of another making gives 50 to 60
 */
export function doorRecoveryS(oven: DetailedOven, soakC: number): number {
  const key = `${JSON.stringify(oven)}/${Math.round(soakC)}`
  const found = known.get(key)
  if (found !== undefined) return found
  const model = new OvenModel(oven)
  const controller = clippedPi()
  const step = (stepS: number, doorOpen: boolean) =>
    model.step(controller.share(soakC, model.indicatedC, stepS), doorOpen, stepS)
  // At full power the controller has nothing to decide, and long steps will do.
  const fullPowerC = soakC - FULL_POWER_K
  for (let s = 0; model.indicatedC < fullPowerC && s < LONGEST_CLIMB_S; s += CLIMB_STEP_S) step(CLIMB_STEP_S, false)
  for (let soaked = 0; soaked < SOAK_S; soaked += STEP_S) step(STEP_S, false)
  let after = 0
  let fell = false
  while (after < LONGEST_S) {
    step(FINE_S, after < PULL_OPEN_S)
    after += FINE_S
    if (model.chamberC < soakC - RECOVERED_K) fell = true
    else if (fell || after > 4 * PULL_OPEN_S) break
  }
  known.set(key, after)
  return after
}
