import { STEEL_THERMAL } from '../../data/thermal'
import { interpolateLinear, type Table } from '../numeric/interpolate'

/** Behaviour of an oven by its wall model, as tables: its climb, and its fall. */
export interface ChamberModel {
  /** From cold as fast as it goes until its controller calls a temperature reached, [°C, min]; the last is the hottest it comes to. */
  readonly climb: Table
  /** How much longer the climb from cold takes for each kilogram of steel in it, [°C, min/kg]. */
  readonly climbPerKg: Table
  /** Shut with its power off, once soaked through at `fromC`: [°C, min], coolest first. */
  readonly falls: readonly { readonly fromC: number; readonly table: Table }[]
}

export const AMBIENT_C = 20

/** Nearer the room than this a fall is not waited for, K. */
const FALLEN_WITHIN_K = 5

/** Weight of a plain bar of steel, kg. */
export const bladeKg = (blade: { lengthMm: number; widthMm: number; thicknessMm: number }): number =>
  blade.lengthMm * blade.widthMm * blade.thicknessMm * 1e-9 * STEEL_THERMAL.densityKgPerM3

/** The hottest an oven comes to, as far as it was followed, °C. */
export const hottestOf = ({ climb }: Pick<ChamberModel, 'climb'>): number => climb.at(-1)?.[0] ?? AMBIENT_C

/**
 * Minutes from one temperature to a hotter one as fast as the oven goes, with so much steel in it; infinite past what the oven can reach.
 * @example heatUpMin(medium, 20, 790, 0) // about 38
 */
export function heatUpMin(oven: ChamberModel, fromC: number, toC: number, steelKg: number): number {
  if (toC <= fromC) return 0
  if (toC > hottestOf(oven)) return Number.POSITIVE_INFINITY
  return between(oven.climb, fromC, toC) + steelKg * between(oven.climbPerKg, fromC, toC)
}

/** Minutes a table passes from one temperature to another. */
const between = (table: Table, fromC: number, toC: number): number =>
  interpolateLinear(table, toC) - interpolateLinear(table, fromC)

/** Where an oven on its way from one temperature to a hotter one is at a share of the time, 0..1, °C. */
export function climbedC(oven: ChamberModel, fromC: number, toC: number, part: number): number {
  // Past what it reaches there is no curve to follow.
  if (toC > hottestOf(oven)) return fromC + (toC - fromC) * part
  const [from, to] = [interpolateLinear(oven.climb, fromC), interpolateLinear(oven.climb, toC)]
  return interpolateLinear(
    oven.climb.map(([c, min]) => [min, c] as const),
    from + (to - from) * part,
  )
}

/**
 * Minutes with the door shut and power off from one temperature down to another, between the two falls that were followed from
 * above and below it: walls that soaked hotter give their heat back for longer.
 */
export function coolDownMin({ falls }: Pick<ChamberModel, 'falls'>, fromC: number, toC: number): number {
  if (toC >= fromC) return 0
  const downC = Math.max(AMBIENT_C + FALLEN_WITHIN_K, toC)
  const upper = falls.find(fall => fall.fromC >= fromC) ?? falls.at(-1)
  const lower = falls.findLast(fall => fall.fromC < fromC)
  if (!upper) return Number.POSITIVE_INFINITY
  const fallMin = (table: Table, aC: number, bC: number) => Math.max(0, between(table, aC, bC))
  const hot = fallMin(upper.table, fromC, downC)
  if (!lower || lower === upper || downC >= lower.fromC) return hot
  const cool = fallMin(upper.table, fromC, lower.fromC) + fallMin(lower.table, lower.fromC, downC)
  return cool + (hot - cool) * ((fromC - lower.fromC) / (upper.fromC - lower.fromC))
}

/** Returns the temperature a closed oven without power has fallen to after so many minutes, °C. */
export function fallenC(oven: Pick<ChamberModel, 'falls'>, fromC: number, minutes: number): number {
  let [low, high] = [AMBIENT_C + FALLEN_WITHIN_K, fromC]
  if (minutes >= coolDownMin(oven, fromC, low)) return low
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (coolDownMin(oven, fromC, middle) > minutes) low = middle
    else high = middle
  }
  return high
}
