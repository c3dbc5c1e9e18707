import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { CHANGE_SD } from '../../data/change-error'
import { COLD_AFTER_TEMPER_MIN } from '../../data/delays'
import { FULL_ANNEAL } from '../../data/grades/sources'
import { predictedAt } from '../batch/hardness-stages'
import type { Estimate } from '../codes/result'
import { chance, type StageReading, wantedAfter } from '../hardness/stage-reading'
import { sdOfHalfWidth95 } from '../numeric/coverage'
import { middleOf, missOf, type TargetHrc } from '../rockwell/target'
import type { Stage } from '../shop/route'
import { modelFamilyOf } from '../steel/model-error'
import { type Prediction, predict } from '../steel/predict'
import type { Route } from '../steel/route'
import { usualCold } from '../steel/route'
import { compositionOf, isGrade, type Steel } from '../steel/steel'
import type { Temper } from '../steel/tempering'
import { settingC, settingsBetween } from '../units/setting'
import type { AdviceOption, AdviceReason, AdviceRequest } from './option'
import { FINISHED_TEMPERS, inOrder } from './order'
import { reachableRoute } from './reachable-route'

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
/** Tempers tried for a steel that no sheet takes further, °C. */
const TEMPER_RANGE_C = { min: 150, max: 550 } as const
/** High-speed steel without a sheet: first tempers below this leave its austenite, °C. Common practice, no published source. */
const HIGH_SPEED_RANGE_C = { min: 540, max: 600 } as const
/** A grade whose own range begins here or hotter is made for its secondary peak: it is never tempered below that, °C. */
const SECONDARY_FROM_C = 400
/** A third temper for less than this is heat for nothing. Common practice, no published source. */
const WORTH_A_TEMPER_HRC = 0.15
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
    ...temperOptions(context),
    coldOption(context),
    rehardenOption(context),
    scrapOption(context),
  ]
  return inOrder(
    options.filter(option => option !== null).filter(option => !worsens(option, request)),
    request,
  )
}

/**
 * An edge that rolls is never made softer, nor one that chips harder or brittle over the secondary peak, whatever else is wanted. Fresh
 * martensite is tempered all the same.
 */
const worsens = ({ kind, why }: AdviceOption, { symptom, route }: AdviceRequest): boolean =>
  kind !== 'accept' &&
  kind !== 'scrap' &&
  !(kind === 'temper' && route.tempers.length === 0) &&
  ((symptom === 'rolls' && why.changeHrc < 0) || (symptom === 'chips' && (why.changeHrc > 0 || why.robsChromium)))

interface Context {
  readonly request: AdviceRequest
  readonly wanted: TargetHrc
  readonly notByHardness: boolean
  readonly now: Prediction
  readonly measured: Estimate
  readonly predicted: number
}

/** Hardness after a further route, carried from the measured value by the model's difference. */
function carried({ request, measured, predicted }: Context, route: Route): { hrc: Estimate; corrosion: number } {
  const after = predict(request.steel, route)
  const change = after.finalHrc.mean - predicted
  const over = hottest(route) > ROBBED_C && hottest(request.route) <= ROBBED_C ? CHANGE_SD.overPeak : 0
  const sd = Math.hypot(measured.sd, CHANGE_SD.floor, CHANGE_SD.share * Math.abs(change), over)
  return { hrc: { mean: measured.mean + change, sd }, corrosion: after.corrosion.index }
}

/** Tempers hotter than this take chromium out of the steel, °C. */
const ROBBED_C = 400
const hottest = ({ tempers }: Pick<Route, 'tempers'>) =>
  tempers.reduce((most, temper) => Math.max(most, temper.atC), Number.NEGATIVE_INFINITY)

const reasonOf = ({ request, wanted, notByHardness }: Context, more: Partial<AdviceReason> = {}): AdviceReason => ({
  measured: request.reading,
  wanted,
  changeHrc: 0,
  robsChromium: false,
  lostCorrosion: 0,
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
    oil: null,
    hrc: measured,
    missHrc: missOf(measured.mean, wanted),
    inTargetProbability: inTarget,
    hours: 0,
    corrosion: now.corrosion.index,
    risk: request.route.tempers.length < 2 ? 'some' : 'low',
    why: reasonOf(context),
  }
}

/** Temperatures a steel may be tempered at, °C: to its own limit, and never below a range that begins at the secondary peak. */
export function temperLimitsOf(steel: Steel): { readonly min: number; readonly max: number } {
  if (isGrade(steel)) {
    const { minC, maxC } = steel.temper
    return {
      min: minC >= SECONDARY_FROM_C ? minC : TEMPER_RANGE_C.min,
      max: Math.max(TEMPER_RANGE_C.max, maxC),
    }
  }
  return modelFamilyOf(compositionOf(steel), steel.made ?? 'ingot') === 'high-speed'
    ? HIGH_SPEED_RANGE_C
    : TEMPER_RANGE_C
}

/** A way over the secondary peak is named only where it does better by this than the cooler one and than leaving the blade. */
const WORTH_THE_PEAK = 0.15

/** The next temper: of stainless steel the best that keeps its chromium, and over the secondary peak where that does clearly better. */
function temperOptions(context: Context): (AdviceOption | null)[] {
  const { min, max } = temperLimitsOf(context.request.steel)
  if (!context.now.corrosion.stainless || min > ROBBED_C) return [temperOption(context, { min, max })]
  const cool = temperOption(context, { min, max: ROBBED_C })
  const hot = temperOption(context, { min: ROBBED_C + 1, max })
  const kept = acceptOption(context)?.inTargetProbability ?? 0
  const better = (hot?.inTargetProbability ?? 0) > Math.max(cool?.inTargetProbability ?? 0, kept) + WORTH_THE_PEAK
  return [cool, better ? hot : null]
}

/** The next temper within limits, solved; the usual hold and the grade's own range win a near tie. */
function temperOption(context: Context, limits: { readonly min: number; readonly max: number }): AdviceOption | null {
  const { request, wanted, measured } = context
  const { tempers } = request.route
  const range = isGrade(request.steel) ? request.steel.temper : null
  const leaves = (atC: number) => range !== null && (atC < range.minC || atC > range.maxC)
  let best: (ReturnType<typeof carried> & { atC: number; holdMin: number; score: number }) | null = null
  for (const holdMin of TEMPER_HOLDS_MIN)
    for (const atC of settingsBetween(limits.min, limits.max, request.can.system)) {
      const after = carried(context, { ...request.route, tempers: [...tempers, { atC, holdMin }] })
      const outside = leaves(atC) ? OUTSIDE_RANGE : 0
      const miss = Math.abs(after.hrc.mean - middleOf(wanted))
      const unusual = holdMin === TEMPER_HOLD_MIN ? 0 : UNUSUAL_HOLD
      const score = chance(after.hrc, wanted) - outside - miss * 0.01 - unusual
      if (!best || score > best.score + 1e-9) best = { ...after, atC, holdMin, score }
    }
  if (!best) return null
  const change = best.hrc.mean - measured.mean
  const { atC, holdMin, hrc, corrosion } = best
  if (tempers.length >= FINISHED_TEMPERS && Math.abs(change) < WORTH_A_TEMPER_HRC) return null
  // A steel that is not stainless has no corrosion resistance to lose by a hot temper.
  const robs = context.now.corrosion.stainless && atC > ROBBED_C
  return {
    kind: 'temper',
    temper: { atC, holdMin },
    cold: null,
    anneal: null,
    again: null,
    oil: null,
    hrc,
    missHrc: missOf(hrc.mean, wanted),
    inTargetProbability: chance(hrc, wanted),
    hours: holdMin / 60 + TEMPER_ASIDE_HOURS,
    corrosion,
    risk: robs || leaves(atC) ? 'some' : 'low',
    why: reasonOf(context, {
      changeHrc: change,
      robsChromium: robs,
      lostCorrosion: context.now.corrosion.index - corrosion,
      leavesRange: leaves(atC) && range ? { minC: range.minC, maxC: range.maxC } : null,
    }),
  }
}

function coldOption(context: Context): AdviceOption | null {
  const { request, wanted, measured } = context
  const { coldToC } = request.can
  const { route } = request
  if (coldToC === null || (route.cold && route.cold.toC <= coldToC)) return null
  if (isGrade(request.steel) && request.steel.cold.advice === 'no use') return null
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
    oil: null,
    hrc,
    missHrc: missOf(hrc.mean, wanted),
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
    oil: isGrade(request.steel) && request.steel.quench.needs !== 'plates' ? request.steel.quench.needs : null,
    hrc: finalHrc,
    missHrc: missOf(finalHrc.mean, wanted),
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
    oil: null,
    hrc: context.measured,
    missHrc: missOf(context.measured.mean, context.wanted),
    inTargetProbability: 0,
    hours: 0,
    corrosion: context.now.corrosion.index,
    risk: 'low',
    why: reasonOf(context),
  }
}
