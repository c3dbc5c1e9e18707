import { PACE } from '../../data/pace'
import { LONGEST_SOAK } from '../../data/soak'
import type { BatchBlade } from '../batch/tray'
import { ok, type Result } from '../codes/result'
import { chamberOf } from '../equipment/chambers'
import { detailedOven, ovenOf } from '../equipment/ovens'
import { airOf, contactOf, plateSize } from '../equipment/plates'
import { goesIntoOil } from '../equipment/quench-way'
import { overSoakMin } from '../equipment/soak-over'
import { remembered } from '../numeric/remembered'
import { doorRecoveryS } from '../oven/door-recovery'
import type { SoakHold } from '../oven/programme'
import { viewOf } from '../oven/rack'
import { soakLag } from '../oven/soak-lag'
import { type PaceRequest, type Pull, paceOf } from '../quench/pace'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import { longestSoakMin } from '../steel/usual'
import { loadKg, placesOf, rackPacketsOf } from './heat-load'
import type { Load } from './loads'

const USUAL_START_C = 180

/** A load in pull order between this shop's plates, with when each blade is as hot as its oven and when its soak is over, s. */
export interface PullsAsked {
  readonly request: PaceRequest
  readonly arrivesS: readonly number[]
  readonly dueS: readonly number[]
}

/** Returns the request of a pull list, or null for an empty load. Errors: as ovenOf, since oven and door are those of one oven. */
export function pullsAskedOf(
  load: Load,
  shop: Pick<Workshop, 'plates' | 'ovens' | 'oil' | 'roomC'>,
  batch: Pick<Batch, 'ovenId' | 'ovenName'>,
): Result<PullsAsked | null> {
  if (load.blades.length === 0) return ok(null)
  const oven = ovenOf(shop, batch)
  if (!oven.ok) return oven
  const arrivesS = arrivalsOf(load, oven.value)
  const dueS = load.blades.map((blade, i) => (arrivesS[i] ?? 0) + 60 * blade.group.route.soakMin)
  const firstS = dueS[0] ?? 0
  const starts = new Map(
    load.groups.map(group => {
      const grade = gradeOf(group)
      return [group.id, grade ? predict(grade, group.route).martensiteStartC : USUAL_START_C]
    }),
  )
  return ok({
    arrivesS,
    dueS,
    request: {
      blades: load.blades.map(({ id, line, group }, i) => ({
        id,
        thicknessMm: line.thicknessMm,
        widthMm: line.widthMm,
        lengthMm: line.lengthMm,
        fromC: group.route.austenitizeC,
        martensiteStartC: starts.get(group.id) ?? USUAL_START_C,
        dueS: Math.max(0, (dueS[i] ?? 0) - firstS),
        ...(goesIntoOil(group, shop) ? { oilS: PACE.oilS } : {}),
      })),
      plates: plateSize(shop),
      plateStartC: shop.plates.startC,
      sets: shop.plates.sets ?? 1,
      people: shop.plates.people ?? 1,
      handsMoreS: shop.plates.handsMore?.s ?? 0,
      contactWPerM2K: contactOf(shop),
      airWPerM2K: airOf(shop),
      restWPerM2K: airOf(shop),
      ambientC: shop.roomC ?? PACE.roomC,
      doorRecoveryS: doorRecoveryS(detailedOven(oven.value), load.austenitizeC),
    },
  })
}

/** One blade of a load; its pull counted from the oven's arrival at austenitize temperature. */
export interface PlannedPull extends Omit<Pull, 'id'> {
  readonly bladeId: string
  /** When it is as hot as the oven, and when its soak is over, s. */
  readonly arrivesS: number
  readonly dueS: number
  /** Soak of the blade in the end, as planned, and the longest its steel allows, min. */
  readonly soakMin: number
  readonly plannedMin: number
  readonly longestMin: number
}

/** A load pulled blade by blade. */
export interface PullPlan {
  readonly pulls: readonly PlannedPull[]
  /** From the first pull until the last blade is out of the plates, and the rest of the plates in it, s. */
  readonly totalS: number
  readonly restS: number
  /** Hold at austenitize temperature, whole min, with its parts. */
  readonly hold: SoakHold
}

/** The plates are followed second by second, and most edits leave them as they are. */
const knownPace = remembered(paceOf, 40)

/** When each blade of a load is as hot as its oven, s after the oven itself: thin and free ones first. */
function arrivalsOf(load: Load, oven: Oven): number[] {
  const packets = rackPacketsOf(load)
  const places = placesOf(load, oven)
  const { equalise, entryC, austenitizeC } = load
  const common = { oven: chamberOf(oven), steelKg: loadKg(load), equalise, entryC, austenitizeC }
  return load.blades.map(
    ({ id, line }) => soakLag({ ...common, thicknessMm: line.thicknessMm, view: viewOf(id, packets, places) }).lagS,
  )
}

/**
 * A load pulled blade by blade: each once its own soak is over and door, hands and plates allow; what it soaks until then, and how
 * long the oven must hold. Null for an empty load. Errors: as ovenOf.
 */
export function pullPlanOf(
  load: Load,
  shop: Pick<Workshop, 'plates' | 'ovens' | 'oil' | 'roomC'>,
  batch: Pick<Batch, 'ovenId' | 'ovenName'>,
): Result<PullPlan | null> {
  const asked = pullsAskedOf(load, shop, batch)
  if (!asked.ok || !asked.value) return asked.ok ? ok(null) : asked
  const { request, arrivesS, dueS } = asked.value
  const firstS = dueS[0] ?? 0
  const pace = knownPace(request)
  const longest = longestsOf(load)
  const pulls = pace.pulls.map((pull, i): PlannedPull => {
    const blade = load.blades[i] as BatchBlade
    const thereS = arrivesS[i] ?? 0
    const plannedMin = blade.group.route.soakMin
    const { id, pullAtS, outAtS, ...rest } = pull
    return {
      ...rest,
      bladeId: id,
      arrivesS: thereS,
      dueS: dueS[i] ?? 0,
      pullAtS: firstS + pullAtS,
      outAtS: firstS + outAtS,
      soakMin: (firstS + pullAtS - thereS) / 60,
      plannedMin,
      longestMin: Math.max(plannedMin, longest.get(blade.group.id) ?? Number.POSITIVE_INFINITY),
    }
  })
  return ok({ pulls, totalS: pace.totalS, restS: pace.restS, hold: holdOf(pulls) })
}

/** The longest soak of each steel of a load, min, by its group; endless where the steel is not known. */
const longestsOf = ({ groups }: Load): ReadonlyMap<string, number> =>
  new Map(
    groups.map(group => {
      const grade = gradeOf(group)
      return [
        group.id,
        grade ? longestSoakMin(grade, predict(grade, group.route).grainPinning) : Number.POSITIVE_INFINITY,
      ]
    }),
  )

function holdOf(pulls: readonly PlannedPull[]): SoakHold {
  const [first] = pulls
  const lagMin = (first?.arrivesS ?? 0) / 60
  const soakMin = first?.plannedMin ?? 0
  const pullsMin = Math.max(0, ...pulls.map(p => p.pullAtS)) / 60 - lagMin - soakMin
  const holdMin = Math.ceil(lagMin + soakMin + pullsMin + LONGEST_SOAK.spareMin)
  return { holdMin, lagMin, soakMin, pullsMin, spareMin: holdMin - lagMin - soakMin - pullsMin }
}

/** Changes that would bring the last blades of a load out of the oven in time. */
export const MENDS = ['helper', 'second-set', 'order', 'fewer'] as const
export type Mend = (typeof MENDS)[number]

export interface MendOutcome {
  readonly mend: Mend
  /** Blades of a load, for 'fewer'. */
  readonly count: number
  /** The longest any blade would then soak over what its steel should, min; 0: none. */
  readonly overMin: number
}

const worstOver = (plan: PullPlan | null): number => Math.max(0, ...(plan?.pulls ?? []).map(overSoakMin))

/** Returns the effect of each change on a load whose last blades soak too long; none if none does. Errors: as ovenOf. */
export function mendsOf(
  load: Load,
  shop: Pick<Workshop, 'plates' | 'ovens' | 'oil' | 'roomC'>,
  batch: Pick<Batch, 'ovenId' | 'ovenName'>,
): Result<MendOutcome[]> {
  const as = pullPlanOf(load, shop, batch)
  if (!as.ok) return as
  const worst = worstOver(as.value)
  if (!as.value || worst === 0) return ok([])
  const { plates } = shop
  const soonest = new Map(as.value.pulls.map(p => [p.bladeId, p.arrivesS + 60 * p.longestMin]))
  const tried: [Mend, Load, Workshop['plates']][] = [
    ...(plates.people === 2 ? [] : [['helper', load, { ...plates, people: 2 }] as [Mend, Load, Workshop['plates']]]),
    ...(plates.sets === 2 ? [] : [['second-set', load, { ...plates, sets: 2 }] as [Mend, Load, Workshop['plates']]]),
    [
      'order',
      { ...load, blades: [...load.blades].sort((a, b) => (soonest.get(a.id) ?? 0) - (soonest.get(b.id) ?? 0)) },
      plates,
    ],
  ]
  const outcomes: MendOutcome[] = []
  for (const [mend, changed, own] of tried) {
    const plan = pullPlanOf(changed, { ...shop, plates: own }, batch)
    if (!plan.ok) return plan
    const overMin = worstOver(plan.value)
    if (overMin < worst - 0.5) outcomes.push({ mend, count: load.blades.length, overMin })
  }
  const inTime = as.value.pulls.findIndex(pull => overSoakMin(pull) > 0)
  if (inTime > 0) outcomes.push({ mend: 'fewer', count: inTime, overMin: 0 })
  return ok(outcomes)
}
