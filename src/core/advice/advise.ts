import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { CHANGE_SD } from '../../data/change-error'
import { COLD_AFTER_TEMPER_MIN } from '../../data/delays'
import type { AnnealCycle } from '../../data/grades'
import { FULL_ANNEAL } from '../../data/grades/sources'
import { predictedAt } from '../batch/hardness-stages'
import type { Estimate } from '../codes/result'
import { chance, type StageReading, type Symptom, wantedAfter } from '../hardness/stage-reading'
import { sdOfHalfWidth95 } from '../numeric/coverage'
import type { TargetHrc } from '../rockwell/target'
import type { Stage } from '../shop/route'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'
import type { ColdTreatment, Route } from '../steel/route'
import { usualCold } from '../steel/route'
import { isGrade, type Steel } from '../steel/steel'
import type { Temper } from '../steel/tempering'
import type { System } from '../units/quantity'
import { settingC, settingsBetween } from '../units/setting'
import { reachableRoute } from './reachable-route'

export interface AdviceRequest {
  readonly steel: Steel
  /** Route completed so far, without the later steps of the plan. */
  readonly route: Route
  readonly reading: StageReading
  readonly target: TargetHrc
  readonly symptom: Symptom
  /** Correction by the shop's readings for a hardening begun anew; absent: none. */
  readonly experience?: ShopExperience | null | undefined
  readonly can: {
    readonly coldToC: number | null
    readonly anneal: boolean
    /** The hottest its oven can hold, °C, and the thickest blade, mm: for hardening again; absent: what the grade needs, and 3 mm. */
    readonly ovenMaxC?: number | undefined
    readonly thicknessMm?: number | undefined
    /** The scale the tempering oven is keyed in. */
    readonly system: System
  }
}

export type OptionKind = 'accept' | 'temper' | 'cold' | 'anneal-and-reharden' | 'scrap'

/** Grounds of an option; hardness in HRC. */
export interface AdviceReason {
  /** Measured hardness, and the target with the symptom at the edge taken into account. */
  readonly measured: StageReading
  readonly wanted: TargetHrc
  /** By how much it should move, HRC; 0 where nothing is done. */
  readonly changeHrc: number
  /** Hotter than this a temper takes chromium out of the steel. */
  readonly robsChromium: boolean
  /** Cold after a temper turns only a part of the retained austenite. */
  readonly lateCold: boolean
  /** Outside this range the grade is not usually tempered; null where the way stays inside it, or the steel has none. */
  readonly leavesRange: { readonly minC: number; readonly maxC: number } | null
  /** The symptom at the edge is not what such a hardness does: what else makes it is asked about first. */
  readonly notByHardness: boolean
}

export interface AdviceOption {
  readonly kind: OptionKind
  /** The temper to add, for kind 'temper' and 'cold'. */
  readonly temper: Temper | null
  /** The cold treatment to add, for kind 'cold'. */
  readonly cold: ColdTreatment | null
  /** How to make it soft, and the route that then comes nearest to what is wanted, for kind 'anneal-and-reharden'. */
  readonly anneal: AnnealCycle | null
  readonly again: Route | null
  readonly hrc: Estimate
  readonly inTargetProbability: number
  readonly hours: number
  readonly corrosion: number
  readonly risk: 'low' | 'some' | 'high'
  readonly why: AdviceReason
}

/** Hours of a re-hardening beside the anneal itself: cooling with the oven off, wrapping, hardening, cold, two tempers. */
const HARDEN_AGAIN_HOURS = 21
const TEMPER_HOLD_MIN = 120
/** Holds tried: the usual two hours first, another only where it does clearly better. */
const TEMPER_HOLDS_MIN = [120, 60, 240] as const
const UNUSUAL_HOLD = 0.02
/** Penalty, as a probability, for tempering outside the grade's range or losing chromium. */
const OUTSIDE_RANGE = 0.08
/** Heating, and cooling to the room, beside the hold, h. */
const TEMPER_ASIDE_HOURS = 1.5
const TEMPER_HOURS = TEMPER_HOLD_MIN / 60 + TEMPER_ASIDE_HOURS
const TEMPER_RANGE_C = { min: 150, max: 550 } as const
/** A third temper for less than this is heat for nothing. Common practice, no published source. */
const WORTH_A_TEMPER_HRC = 0.15
/**
 * Value of an option's hours as a probability of success: a further temper on a finished blade must gain a tenth, the second
 * temper, which is not optional, next to nothing. Common practice, no published source.
 */
const EFFORT = {
  accept: 0,
  temper: 0.02,
  temperAgain: 0.1,
  cold: 0.1,
  'anneal-and-reharden': 0.25,
  scrap: 0.6,
} as const
/** Tempers after which a blade is finished. */
const FINISHED_TEMPERS = 2

/** Returns the predicted hardness at a stage, or at the end of the route if it has no such stage. */
const stageHrc = (prediction: Prediction, stage: Stage): number =>
  predictedAt(prediction, stage) ?? prediction.finalHrc.mean

/** The same chance of what was measured, which may rest on few readings: Student's where it does. */
function chanceOfReading({ mean, u95, degreesOfFreedom }: StageReading, sd: number, target: TargetHrc): number {
  if (degreesOfFreedom === undefined || !Number.isFinite(degreesOfFreedom)) return chance({ mean, sd }, target)
  const standard = Math.max(0.05, u95 / tQuantile(0.975, degreesOfFreedom))
  const below = (x: number) => tCdf((x - mean) / standard, degreesOfFreedom)
  return Math.max(0, below(target.max) - below(target.min))
}

/**
 * Returns the options after a reading, best first: each with the hardness it should give, the probability that it is
 * in target, hours, corrosion index and a reason. The reading, not the prediction, is the starting point: the model
 * supplies only the change from there.
 */
export function advise(request: AdviceRequest): AdviceOption[] {
  const { wanted, notByHardness } = wantedAfter(request.target, request.symptom, request.reading.mean)
  const now = predict(request.steel, request.route)
  const measured: Estimate = { mean: request.reading.mean, sd: Math.max(0.05, sdOfHalfWidth95(request.reading.u95)) }
  const predicted = stageHrc(now, request.reading.stage)
  const context: Context = { request, wanted, notByHardness, now, measured, predicted }
  const options = [
    acceptOption(context),
    temperOption(context),
    coldOption(context),
    rehardenOption(context),
    scrapOption(context),
  ]
  return options
    .filter(option => option !== null)
    .filter(option => !worsens(option, request.symptom))
    .sort((a, b) => worth(b, request) - worth(a, request))
}

/** An edge that rolls is never made softer, nor one that chips harder, whatever else is wanted. */
const worsens = ({ kind, why }: AdviceOption, symptom: Symptom): boolean =>
  (kind === 'temper' || kind === 'cold') &&
  ((symptom === 'rolls' && why.changeHrc < 0) || (symptom === 'chips' && why.changeHrc > 0))

interface Context {
  readonly request: AdviceRequest
  readonly wanted: TargetHrc
  readonly notByHardness: boolean
  readonly now: Prediction
  readonly measured: Estimate
  readonly predicted: number
}

/** Chance of success, less what the hours and the risk of the option cost. Ranking only, never shown. */
function worth(option: AdviceOption, { route, symptom }: AdviceRequest): number {
  const risk = { low: 0, some: 0.04, high: 0.15 }[option.risk]
  const finished = route.tempers.length >= FINISHED_TEMPERS
  // An edge that has failed as it is asks for the heat: nothing is taken off for it.
  const effort = option.kind !== 'temper' || !finished ? EFFORT[option.kind] : symptom ? 0 : EFFORT.temperAgain
  return option.inTargetProbability - risk - effort
}

/** Hardness after a further route, carried from the measured value by the model's difference. */
function carried({ request, measured, predicted }: Context, route: Route): { hrc: Estimate; corrosion: number } {
  const after = predict(request.steel, route)
  const change = after.finalHrc.mean - predicted
  const sd = Math.hypot(measured.sd, CHANGE_SD.floor, CHANGE_SD.share * Math.abs(change))
  return { hrc: { mean: measured.mean + change, sd }, corrosion: after.corrosion.index }
}

/** Tempers hotter than this take chromium out of the steel, °C. */
const ROBBED_C = 400

const reasonOf = ({ request, wanted, notByHardness }: Context, more: Partial<AdviceReason> = {}): AdviceReason => ({
  measured: request.reading,
  wanted,
  changeHrc: 0,
  robsChromium: false,
  lateCold: false,
  leavesRange: null,
  notByHardness,
  ...more,
})

function acceptOption(context: Context): AdviceOption | null {
  const { request, measured, wanted, now } = context
  // Untempered martensite is never a finished blade, however well it reads.
  if (request.route.tempers.length === 0) return null
  const inTarget = chanceOfReading(request.reading, measured.sd, wanted)
  return {
    kind: 'accept',
    temper: null,
    cold: null,
    anneal: null,
    again: null,
    hrc: measured,
    inTargetProbability: inTarget,
    hours: 0,
    corrosion: now.corrosion.index,
    risk: request.route.tempers.length < 2 ? 'some' : 'low',
    why: reasonOf(context),
  }
}

/** The next temper, solved over both sides of the secondary peak; the cooler wins a near tie for its chromium. */
function temperOption(context: Context): AdviceOption | null {
  const { request, wanted, measured } = context
  const { tempers } = request.route
  // A steel that is not stainless has no corrosion resistance to lose by a hot temper.
  const robs = (atC: number) => context.now.corrosion.stainless && atC > ROBBED_C
  const range = isGrade(request.steel) ? request.steel.temper : null
  const leaves = (atC: number) => range !== null && (atC < range.minC || atC > range.maxC)
  let best: (ReturnType<typeof carried> & { atC: number; holdMin: number; score: number }) | null = null
  for (const holdMin of TEMPER_HOLDS_MIN)
    for (const atC of settingsBetween(TEMPER_RANGE_C.min, TEMPER_RANGE_C.max, request.can.system)) {
      const after = carried(context, { ...request.route, tempers: [...tempers, { atC, holdMin }] })
      const outside = robs(atC) || leaves(atC) ? OUTSIDE_RANGE : 0
      const miss = Math.abs(after.hrc.mean - (wanted.min + wanted.max) / 2)
      const unusual = holdMin === TEMPER_HOLD_MIN ? 0 : UNUSUAL_HOLD
      const score = chance(after.hrc, wanted) - outside - miss * 0.01 - unusual
      if (!best || score > best.score + 1e-9) best = { ...after, atC, holdMin, score }
    }
  if (!best) return null
  const change = best.hrc.mean - measured.mean
  const { atC, holdMin, hrc, corrosion } = best
  if (tempers.length >= 2 && Math.abs(change) < WORTH_A_TEMPER_HRC) return null
  return {
    kind: 'temper',
    temper: { atC, holdMin },
    cold: null,
    anneal: null,
    again: null,
    hrc,
    inTargetProbability: chance(hrc, wanted),
    hours: holdMin / 60 + TEMPER_ASIDE_HOURS,
    corrosion,
    risk: robs(atC) || leaves(atC) ? 'some' : 'low',
    why: reasonOf(context, {
      changeHrc: change,
      robsChromium: robs(atC),
      leavesRange: leaves(atC) && range ? { minC: range.minC, maxC: range.maxC } : null,
    }),
  }
}

function coldOption(context: Context): AdviceOption | null {
  const { request, wanted, measured } = context
  const { coldToC } = request.can
  const { route } = request
  if (coldToC === null || (route.cold && route.cold.toC <= coldToC)) return null
  const late = route.tempers.length > 0
  // A temper stabilises what austenite is left: late cold counts as a day's delay after a snap temper.
  const cold = {
    ...usualCold(coldToC),
    holdMin: 120,
    ...(late ? { delayMin: COLD_AFTER_TEMPER_MIN } : {}),
    ...(late ? { snapTemperC: Math.max(...route.tempers.map(temper => temper.atC)) } : {}),
  }
  const last = route.tempers[route.tempers.length - 1]
  const temper: Temper = last ?? { atC: settingC(200, request.can.system), holdMin: TEMPER_HOLD_MIN }
  const { hrc, corrosion } = carried(context, { ...route, cold, tempers: [...route.tempers, temper] })
  return {
    kind: 'cold',
    temper,
    cold,
    anneal: null,
    again: null,
    hrc,
    inTargetProbability: chance(hrc, wanted),
    hours: 2 + TEMPER_HOURS,
    corrosion,
    risk: 'some',
    why: reasonOf(context, { changeHrc: hrc.mean - measured.mean, lateCold: late }),
  }
}

/** After annealing everything is open again: the best route the steel and this shop can do, with its own chance. */
function rehardenOption(context: Context): AdviceOption | null {
  const { request, wanted } = context
  if (!request.can.anneal) return null
  const anneal = isGrade(request.steel) ? request.steel.anneal : FULL_ANNEAL
  const again = reachableRoute(request.steel, request.route, request.can, wanted)
  const { finalHrc, corrosion } = predict(request.steel, again, request.experience ?? null)
  return {
    kind: 'anneal-and-reharden',
    temper: null,
    cold: null,
    anneal,
    again,
    hrc: finalHrc,
    inTargetProbability: chance(finalHrc, wanted),
    hours: Math.round(anneal.holdMin / 60 + (anneal.atC - anneal.downToC) / anneal.coolCPerH + HARDEN_AGAIN_HOURS),
    corrosion: corrosion.index,
    risk: 'high',
    why: reasonOf(context, { changeHrc: finalHrc.mean - context.measured.mean }),
  }
}

function scrapOption(context: Context): AdviceOption {
  return {
    kind: 'scrap',
    temper: null,
    cold: null,
    anneal: null,
    again: null,
    hrc: context.measured,
    inTargetProbability: 0,
    hours: 0,
    corrosion: context.now.corrosion.index,
    risk: 'low',
    why: reasonOf(context),
  }
}
