import { fail, ok, type Result } from '../codes/result'
import { halfBlade, PlateStack, type Plates, type Size } from './plate-stack'

/** Two readings of a thermometer on the maker's own plates. */
export interface PlateReadings {
  readonly blade: Size
  readonly fromC: number
  readonly plates: Plates
  readonly startC: number
  readonly ambientC: number
  readonly martensiteStartC: number
  /** With the blade clamped so long, the plates' mean. */
  readonly clamped: { readonly afterS: number; readonly plateC: number }
  /** The blade taken out then, and the plates left so long in what cools them; null: not read. */
  readonly cooled: { readonly afterS: number; readonly plateC: number } | null
}

export interface PlateFit {
  readonly contactWPerM2K: number
  readonly airWPerM2K: number | null
  /** Range of contact if the reading were 2 °C off, W/m²K. */
  readonly contactRange: readonly [low: number, high: number]
  /** Whether the first reading came early enough to speak of the contact. */
  readonly contactSure: boolean
}

const CONTACT_RANGE = [30, 6000] as const
const AIR_RANGE = [1, 1500] as const
/** A thermometer on a plate is good to this, K. Common practice, no published source. */
const READING_K = 2
/** Sure where the range is no wider than this factor. */
const SURE_FACTOR = 2.5
const USUAL_AIR = 10
const stepAt = (s: number) => (s < 2 ? 0.02 : s < 20 ? 0.1 : 0.5)

/**
 * Contact through the foil and plates to air from two readings: the plates have taken the more heat by a moment the better the
 * contact, and have lost the more of it later the better the air. Both rise steadily, so that halving finds them.
 * Errors: 'cold' (no rise), 'hot' (more heat than the blade had), 'warmer' (plates rose while cooling).
 */
export function fitPlates(r: PlateReadings): Result<PlateFit> {
  if (r.clamped.plateC <= r.startC + 1) return fail('plates-cold', {}, 'clamped')
  let airWPerM2K: number = USUAL_AIR
  let contact = 0
  // Air matters little while the blade is clamped: two rounds settle both.
  for (let round = 0; round < 2; round++) {
    const rise = (contactWPerM2K: number) => stateAfter(r, contactWPerM2K, airWPerM2K, null)
    if (r.clamped.plateC > rise(CONTACT_RANGE[1]) + READING_K) return fail('plates-too-hot', {}, 'clamped')
    contact = solve(rise, r.clamped.plateC, CONTACT_RANGE)
    if (!r.cooled) break
    if (r.cooled.plateC > r.clamped.plateC + READING_K) return fail('plates-warmer-after', {}, 'cooled')
    const cooled = r.cooled
    airWPerM2K = solve(air => -stateAfter(r, contact, air, cooled.afterS), -cooled.plateC, AIR_RANGE)
  }
  const at = (c: number) => solve(h => stateAfter(r, h, airWPerM2K, null), c, CONTACT_RANGE)
  const contactRange = [at(r.clamped.plateC - READING_K), at(r.clamped.plateC + READING_K)] as const
  return ok({
    contactWPerM2K: contact,
    airWPerM2K: r.cooled ? airWPerM2K : null,
    contactRange,
    contactSure: contactRange[1] / contactRange[0] <= SURE_FACTOR,
  })
}

/** Mean of the plates at the end of the clamp, or so long after it, °C. */
function stateAfter(r: PlateReadings, contactWPerM2K: number, airWPerM2K: number, cooledS: number | null): number {
  const stack = new PlateStack(r.plates, r.startC)
  const steel = halfBlade(r.fromC)
  const conditions = { contactWPerM2K, airWPerM2K, ambientC: r.ambientC, martensiteStartC: r.martensiteStartC }
  for (let s = 0; s < r.clamped.afterS - 1e-9; ) {
    const dt = Math.min(stepAt(s), r.clamped.afterS - s)
    stack.step(steel, r.blade, conditions, dt)
    s += dt
  }
  for (let s = 0; cooledS !== null && s < cooledS - 1e-9; s += 5)
    stack.step(null, r.blade, conditions, Math.min(5, cooledS - s))
  return stack.meanC(r.blade)
}

/** Where a rising function reaches a value, by halving on the logarithm; the end of the range where it does not. */
function solve(of: (x: number) => number, wanted: number, [least, most]: readonly [number, number]): number {
  let [low, high] = [Math.log(least), Math.log(most)]
  for (let i = 0; i < 22; i++) {
    const middle = (low + high) / 2
    if (of(Math.exp(middle)) < wanted) low = middle
    else high = middle
  }
  return Math.exp((low + high) / 2)
}
