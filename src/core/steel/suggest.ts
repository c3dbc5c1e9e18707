import type { Grade } from '../../data/grades'
import type { TargetHrc } from '../rockwell/target'
import { finalHrc } from './predict'
import type { ColdTreatment, Route } from './route'
import type { Steel } from './steel'
import { usualSoakMin, withTemperC } from './usual'

export interface TemperSolution {
  readonly atC: number
  readonly hrc: number
  /** Whether the target's middle was met within 0.15 HRC; else the nearest in range is given. */
  readonly met: boolean
}

/** Tempers are keyed in to whole steps; a finer figure would pretend to a control no oven has. */
export const TEMPER_STEP_C = 5

const middleOf = (target: TargetHrc) => (target.min + target.max) / 2

/**
 * The temper temperature, within a range, whose finished hardness comes nearest to a wanted one. All tempers of the
 * route are set to it. Of equal solutions the coolest is taken: it keeps the most corrosion resistance.
 */
export function temperFor(
  steel: Steel,
  route: Route,
  wantedHrc: number,
  range: { readonly minC: number; readonly maxC: number },
): TemperSolution {
  let best: TemperSolution = { atC: range.minC, hrc: Number.NaN, met: false }
  let bestMiss = Number.POSITIVE_INFINITY
  for (let atC = range.minC; atC <= range.maxC; atC += TEMPER_STEP_C) {
    const hrc = finalHrc(steel, withTemperC(route, atC))
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

/** The coldest a shop can go, °C, or null without cold. */
export interface ShopCan {
  readonly coldToC: number | null
  readonly ovenMaxC: number
  /** Thickest blade, mm: sets the soak. */
  readonly thicknessMm: number
}

/**
 * A first route for a grade and a target: the default soak, two tempers of 2 h, cold where the shop has it; if that
 * cannot reach the target within the grade's temper range, the soak temperature moves inside its window toward it.
 */
export function suggestRoute(grade: Grade, target: TargetHrc, can: ShopCan): Route {
  const cold: ColdTreatment | null =
    can.coldToC === null ? null : { toC: can.coldToC, holdMin: can.coldToC > -40 ? 120 : 60, delayMin: 30 }
  const at = (austenitizeC: number): Route => ({
    austenitizeC,
    soakMin: usualSoakMin(grade, can.thicknessMm),
    quenchedToC: 25,
    cold,
    tempers: [
      { atC: 200, holdMin: 120 },
      { atC: 200, holdMin: 120 },
    ],
  })
  const low = Math.min(grade.austenitize.minC, can.ovenMaxC)
  const high = Math.min(grade.austenitize.maxC, can.ovenMaxC)
  const start = Math.min(grade.austenitize.defaultC, high)
  // Low tempers keep the most chromium; high-speed grades are made for theirs.
  const mostC =
    grade.temper.minC > LOW_TEMPER_MOST_C ? grade.temper.maxC : Math.min(LOW_TEMPER_MOST_C, grade.temper.maxC)
  const temperings = { minC: Math.max(150, grade.temper.minC), maxC: mostC }
  // Outward from the default, so that the smallest departure from usual practice wins.
  const candidates = [start]
  for (let step = 10; step <= high - low; step += 10) {
    if (start + step <= high) candidates.push(start + step)
    if (start - step >= low) candidates.push(start - step)
  }
  let best: { route: Route; miss: number } | null = null
  for (const austenitizeC of candidates) {
    const route = at(austenitizeC)
    const solution = temperFor(grade, route, middleOf(target), temperings)
    const miss = Math.abs(solution.hrc - middleOf(target))
    if (!best || miss < best.miss - 0.25) best = { route: withTemperC(route, solution.atC), miss }
    if (miss <= 0.25) break
  }
  return (best as { route: Route }).route
}
