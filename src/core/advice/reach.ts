import type { Grade } from '../../data/grades'
import type { Estimate } from '../codes/result'
import { isOutOf, middleOf, missOf, type TargetHrc } from '../rockwell/target'
import { untemperedHrc } from '../steel/martensite'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'
import type { Route } from '../steel/route'
import { type ShopCan, suggestRoute, temperFor } from '../steel/suggest'
import { withTemperC } from '../steel/usual'
import { cannotDo, type RankRequest } from './rank-steels'

/** Limit that keeps a steel from a target, with the HRC that lifting it alone would give. */
export interface ReachLimit {
  /** `toC`: the cold, the oven's or the temper's temperature that would give it; null where it is no setting. */
  readonly what: 'cold' | 'oven' | 'secondary-peak' | 'austenite' | 'carbon'
  readonly gainHrc: number
  readonly toC: number | null
}

/** Best that a steel comes to in a shop, against a target. */
export interface Reach {
  readonly target: TargetHrc
  readonly route: Route
  readonly hrc: Estimate
  /** Over (positive) or under (negative) the target, HRC; 0 within it. */
  readonly missHrc: number
  /** Limits where it falls short, the largest gain first; some share what they give. */
  readonly limits: readonly ReachLimit[]
  /** Other grades that reach the target here, nearest to its middle first. */
  readonly others: readonly { readonly id: string; readonly name: string; readonly hrc: number }[]
}

export interface ReachRequest {
  readonly grade: Grade
  readonly target: TargetHrc
  readonly can: ShopCan & Pick<RankRequest, 'oil'>
  readonly grades: readonly Grade[]
  /** Correction by the shop's own readings of the grade; null: none. */
  readonly experience: ShopExperience | null
}

/** A limit that gives less is not worth a line, HRC. */
const WORTH_NAMING_HRC = 0.3
/** Colder ways than a shop has, °C. */
const COLDER_C = [-75, -196] as const
/** Tempers over the secondary peak, °C. */
const PEAK_C = { minC: 420, maxC: 560 } as const
/** Carbon in solution from which martensite hardly gets harder, wt%. Textbook metallurgy, from memory. */
const ENOUGH_CARBON = 0.6
const MOST_OTHERS = 5

/** Returns how near a grade comes to a target in this shop, what limits it, and which grades would reach it. */
export function reachOf({ grade, target, can, grades, experience }: ReachRequest): Reach {
  const comesTo = (of: Grade, more: Partial<ShopCan> = {}) => {
    const route = suggestRoute(of, target, { ...can, ...more })
    return { route, prediction: predict(of, route, of === grade ? experience : null) }
  }
  const { route, prediction } = comesTo(grade)
  const hrc = prediction.finalHrc
  const missHrc = missOf(hrc.mean, target)
  const isOut = isOutOf(target, hrc.mean)
  const isShort = isOut && missHrc < 0
  const gainOf = (other: Prediction) => other.finalHrc.mean - hrc.mean
  const colder = COLDER_C.filter(c => c < (can.coldToC ?? 0)).map(toC => ({
    what: 'cold' as const,
    toC,
    gainHrc: gainOf(comesTo(grade, { coldToC: toC }).prediction),
  }))
  const { maxC } = grade.austenitize
  const hotter =
    can.ovenMaxC < maxC
      ? [{ what: 'oven' as const, toC: maxC, gainHrc: gainOf(comesTo(grade, { ovenMaxC: maxC }).prediction) }]
      : []
  const limits: readonly ReachLimit[] = isShort
    ? [...colder.slice(0, 1), ...hotter, ...structureLimits({ grade, target, can, experience }, route, prediction)]
    : []
  return {
    target,
    route,
    hrc,
    missHrc: isOut ? missHrc : 0,
    limits: limits.filter(limit => limit.gainHrc >= WORTH_NAMING_HRC).sort((a, b) => b.gainHrc - a.gainHrc),
    others: !isOut
      ? []
      : grades
          .filter(other => other.id !== grade.id && cannotDo(other, can) === null)
          .map(other => ({ id: other.id, name: other.name, hrc: comesTo(other).prediction.finalHrc.mean }))
          .filter(other => !isOutOf(target, other.hrc))
          .sort((a, b) => Math.abs(a.hrc - middleOf(target)) - Math.abs(b.hrc - middleOf(target)))
          .slice(0, MOST_OTHERS),
  }
}

/** Limits that lie in the steel: what a temper over the peak, austenite that is left and carbon in solution would give. */
function structureLimits(
  { grade, target, can, experience }: Omit<ReachRequest, 'grades'>,
  route: Route,
  prediction: Prediction,
): ReachLimit[] {
  const peak = temperFor(grade, route, middleOf(target), PEAK_C, can.system).atC
  const { austenite, retainedAustenite } = prediction
  const untempered = untemperedHrc(austenite, grade.made)
  const before = retainedAustenite.afterCold ?? retainedAustenite.asQuenched
  const richer = untemperedHrc({ ...austenite, C: Math.max(austenite.C, ENOUGH_CARBON - austenite.N) }, grade.made)
  return [
    {
      what: 'secondary-peak',
      toC: peak,
      gainHrc: predict(grade, withTemperC(route, peak), experience).finalHrc.mean - prediction.finalHrc.mean,
    },
    { what: 'austenite', toC: null, gainHrc: untempered(0) - untempered(before) },
    { what: 'carbon', toC: null, gainHrc: richer(before) - untempered(before) },
  ]
}
