import type { Grade } from '../../data/grades'
import { middleOf, type TargetHrc } from '../rockwell/target'
import type { System } from '../units/quantity'
import { settingsBetween, settingWithin } from '../units/setting'
import { finalHrcByTempers } from './hrc-path'
import type { ColdTreatment, Route } from './route'
import { usualCold } from './route'
import type { Steel } from './steel'
import { usualSoakMin, withTemperC } from './usual'

export interface TemperSolution {
  readonly atC: number
  readonly hrc: number
  /** Whether the target's middle was met within 0.15 HRC; else the nearest in range is given. */
  readonly met: boolean
}

/** Temperatures a temper may have. */
interface TemperRange {
  readonly minC: number
  readonly maxC: number
}

/**
 * The temper temperature, within a range, whose finished hardness comes nearest to a wanted one, as it can be keyed in. All tempers
 * of the route are set to it. Of equal solutions the coolest is taken: it keeps the most corrosion resistance.
 */
export function temperFor(
  steel: Steel,
  route: Route,
  wantedHrc: number,
  range: TemperRange,
  system: System,
): TemperSolution {
  const hrcAfter = finalHrcByTempers(steel, route)
  let best: TemperSolution = { atC: range.minC, hrc: Number.NaN, met: false }
  let bestMiss = Number.POSITIVE_INFINITY
  for (const atC of settingsBetween(range.minC, range.maxC, system)) {
    const hrc = hrcAfter(withTemperC(route, atC).tempers)
    const miss = Math.abs(hrc - wantedHrc)
    if (miss < bestMiss - 1e-9) {
      best = { atC, hrc, met: miss <= 0.15 }
      bestMiss = miss
    }
  }
  return best
}

/** Where the low temper range ends. Common practice, no published source. */
const LOW_TEMPER_MOST_C = 300

/** Abilities of a shop for a route. */
export interface ShopCan {
  /** The coldest it can go, °C, or null without cold. */
  readonly coldToC: number | null
  readonly ovenMaxC: number
  /** Thickest blade, mm: sets the soak. */
  readonly thicknessMm: number
  /** The scale its controllers are keyed in. */
  readonly system: System
}

/** Parts of a route that are given; the others are suggested around them. */
export type GivenParts = Partial<Pick<Route, 'austenitizeC' | 'soakMin' | 'cold' | 'tempers' | 'seconds800to500'>>

/** Low-alloy steels keep little austenite that cold could turn, and crack in it sooner. Common practice, no published source. */
const coldFor = ({ family }: Grade, coldToC: number | null): ColdTreatment | null =>
  coldToC === null || family === 'low-alloy' ? null : usualCold(coldToC)

/** Steps by which the austenitize temperature moves away from the usual one, in settings. */
const SOAK_STEP = 2

/**
 * A first route for a grade and a target: the usual soak, two tempers of 2 h, cold where the shop has it; if that cannot reach the
 * target within the grade's temper range, the austenitize temperature moves inside its window toward it. Parts that are given stay as they
 * are, and the others are suggested for them. Temperatures are whole settings of the controller, times whole minutes, and what is
 * promised for them is worked out of those.
 */
export function suggestRoute(grade: Grade, target: TargetHrc, can: ShopCan, given: GivenParts = {}): Route {
  const hard = {
    soakMin: given.soakMin ?? usualSoakMin(grade, can.thicknessMm),
    quenchedToC: 25,
    ...(given.seconds800to500 === undefined ? {} : { seconds800to500: given.seconds800to500 }),
    cold: given.cold !== undefined ? given.cold : coldFor(grade, can.coldToC),
  }
  const window = {
    minC: Math.min(grade.austenitize.minC, can.ovenMaxC),
    maxC: Math.min(grade.austenitize.maxC, can.ovenMaxC),
  }
  const usualC = settingWithin(grade.austenitize.defaultC, window, can.system)
  const { tempers } = given
  // Tempers that are given say how hard it shall be: the soak stays as it usually is.
  if (tempers) return { ...hard, austenitizeC: given.austenitizeC ?? usualC, tempers }
  const range = temperRangeOf(grade)
  const candidates = given.austenitizeC === undefined ? outward(usualC, window, can.system) : [given.austenitizeC]
  let best: { route: Route; miss: number } | null = null
  for (const austenitizeC of candidates) {
    const route = { ...hard, austenitizeC, tempers: TWO_TEMPERS }
    const solution = temperFor(grade, route, middleOf(target), range, can.system)
    const miss = Math.abs(solution.hrc - middleOf(target))
    if (!best || miss < best.miss - 0.25) best = { route: withTemperC(route, solution.atC), miss }
    if (miss <= 0.25) break
  }
  return (best as { route: Route }).route
}

const TWO_TEMPERS = [
  { atC: 200, holdMin: 120 },
  { atC: 200, holdMin: 120 },
] as const

/** Low tempers keep the most chromium; high-speed grades are made for theirs. */
const temperRangeOf = ({ temper }: Grade): TemperRange => ({
  minC: Math.max(150, temper.minC),
  maxC: temper.minC > LOW_TEMPER_MOST_C ? temper.maxC : Math.min(LOW_TEMPER_MOST_C, temper.maxC),
})

/** Austenitize temperatures outward from the usual one, so that the smallest departure from usual practice wins. */
function outward(usualC: number, { minC, maxC }: TemperRange, system: System): number[] {
  const above = settingsBetween(usualC, maxC, system, SOAK_STEP).slice(1)
  const below = settingsBetween(minC, usualC, system)
    .reverse()
    .filter((_, i) => i % SOAK_STEP === 0)
    .slice(1)
  const steps = Math.max(above.length, below.length)
  return [usualC, ...Array.from({ length: steps }, (_, i) => [above[i], below[i]]).flat()].filter(c => c !== undefined)
}
