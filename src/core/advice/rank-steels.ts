import { CORROSION_CLASSES, type CorrosionClass, type Grade } from '../../data/grades'
import { MERITS, type Merit, USES, type UseName, type UseWeights } from '../../data/uses'
import { targetFor } from '../batch/target-for'
import { quenchWayOf } from '../equipment/quench-way'
import { foilFor } from '../foil/foil-type'
import { chance } from '../hardness/stage-reading'
import { missOf, REACHED_WITHIN_HRC, type TargetHrc } from '../rockwell/target'
import type { Workshop } from '../shop/workshop'
import { standsSaltWater } from '../steel/corrosion'
import { type Prediction, predict } from '../steel/predict'
import type { Route } from '../steel/route'
import { suggestRoute } from '../steel/suggest'
import { toughnessTendency } from '../steel/toughness'
import type { System } from '../units/quantity'

export interface RankRequest {
  readonly grades: readonly Grade[]
  readonly use: UseName
  /** Edge angle, degrees a side. */
  readonly edgeDeg: number
  /** How much each merit matters to the maker; undefined: as the use asks. */
  readonly weights?: UseWeights | undefined
  readonly thicknessMm: number
  readonly coldToC: number | null
  readonly ovenMaxC: number
  readonly system: System
  /** The quench oil the shop has; undefined: plates alone. */
  readonly oil?: Workshop['oil']
}

export interface RankedGrade {
  readonly grade: Grade
  readonly target: TargetHrc
  readonly route: Route
  readonly hrc: Prediction['finalHrc']
  readonly retained: number
  readonly corrosion: number
  /** Merits it is ranked by, each 0..1. */
  readonly merits: Readonly<Record<Merit, number>>
  /** The chance that this shop brings it into the target. */
  readonly reach: number
  /** 0..1, for the order alone. */
  readonly score: number
  /** Reasons for and against it. */
  readonly why: RankReason
}

/** Reasons for and against a grade in a use. */
export interface RankReason {
  readonly hrc: number
  readonly target: TargetHrc
  readonly reaches: 'within' | 'short' | 'above'
  readonly edge: 'long-and-coarse' | 'long' | 'very-fine' | 'fine'
  readonly strength: 'tough' | 'brittle' | 'usual'
  readonly corrosionClass: CorrosionClass
  /** It rusts sooner than this use bears. */
  readonly rustsTooSoon: boolean
}

/** Reason a shop cannot process a grade. */
export type Refusal =
  | { readonly code: 'needs-oil'; readonly slowest800to500S: number; readonly fast: boolean }
  | { readonly code: 'oven-too-cold'; readonly needsC: number; readonly ovenMaxC: number }
  | { readonly code: 'no-foil'; readonly needsC: number }

export interface RefusedGrade {
  readonly grade: Grade
  readonly why: Refusal
}

/**
 * Returns the reason a shop cannot process a grade, or null if it can. Oil-hardening grades are refused between plates:
 * they must pass their nose in a second or a few.
 */
export function cannotDo(grade: Grade, can: Pick<RankRequest, 'ovenMaxC' | 'oil'>): Refusal | null {
  const { slowest800to500S, needs } = grade.quench
  const { minC: needsC } = grade.austenitize
  if (!quenchWayOf(grade, can)) return { code: 'needs-oil', slowest800to500S, fast: needs === 'fast-oil' }
  if (needsC > can.ovenMaxC) return { code: 'oven-too-cold', needsC, ovenMaxC: can.ovenMaxC }
  return foilFor(needsC).ok ? null : { code: 'no-foil', needsC }
}

const classRank = (c: CorrosionClass) => CORROSION_CLASSES.indexOf(c)

/** Grades for a use and a shop, best first, each with a route and its reason; and what the shop cannot do, with why. */
export function rankGrades(request: RankRequest): { ranked: RankedGrade[]; refused: RefusedGrade[] } {
  const ranked: RankedGrade[] = []
  const refused: RefusedGrade[] = []
  for (const grade of request.grades) {
    const why = cannotDo(grade, request)
    if (why) refused.push({ grade, why })
    else ranked.push(rankOne(grade, request))
  }
  return { ranked: ranked.sort((a, b) => b.score - a.score), refused }
}

function rankOne(grade: Grade, request: RankRequest): RankedGrade {
  const use = USES[request.use]
  const target = targetFor(request.use, request.edgeDeg)
  const route = suggestRoute(grade, withinUsual(target, grade), request)
  const p = predict(grade, route)
  const corrosionClass = corrosionClassOn(grade, p)
  const miss = Math.abs(missOf(p.finalHrc.mean, target))
  const short = Math.max(0, classRank(corrosionClass) - classRank(use.least))
  const merits: Readonly<Record<Merit, number>> = {
    edge: edgeStability(grade, p, request.edgeDeg),
    corrosion: 1 - classRank(corrosionClass) / (CORROSION_CLASSES.length - 1),
    wear: wearOf(p),
    toughness: toughnessTendency(p),
  }
  const reach = chance(p.finalHrc, target)
  // How well the model knows a steel is no merit of the steel: the order goes by where it comes to.
  const fits = Math.exp(-miss / MISS_HRC)
  const weights = request.weights ?? use.weight
  return {
    grade,
    target,
    route,
    hrc: p.finalHrc,
    retained: p.retainedAustenite.final,
    corrosion: p.corrosion.index,
    merits,
    reach,
    score: Math.max(0, weighted(merits, weights) * (LEAST_REACH + (1 - LEAST_REACH) * fits) - SHORT_COSTS * short),
    why: reason({ corrosionClass, p, target, miss, short, merits, edgeDeg: request.edgeDeg }),
  }
}

/** How far beyond its usual target a grade is taken for a use: softer than it could be, hardly harder, HRC. Common practice, no published source. */
const BEYOND_USUAL = { softerHrc: 2, harderHrc: 0.5 } as const

/** The target a grade is aimed at for a use: what of it lies within the grade's own, else the end that is nearest. */
function withinUsual({ min, max }: TargetHrc, { usualTarget }: Grade): TargetHrc {
  const least = usualTarget.minHrc - BEYOND_USUAL.softerHrc
  const most = usualTarget.maxHrc + BEYOND_USUAL.harderHrc
  const inside = (hrc: number) => Math.min(most, Math.max(least, hrc))
  return { min: inside(min), max: inside(max) }
}

/** A grade's corrosion class on a route: for salt water only where what is in solution says so. */
const corrosionClassOn = ({ corrosionClass }: Grade, { corrosion }: Prediction): CorrosionClass =>
  corrosionClass === 'sea' && !standsSaltWater(corrosion) ? 'kitchen' : corrosionClass

/** A miss of the target costs e-fold each so much, HRC. Ranking only. */
const MISS_HRC = 0.8

/** Share of a steel's merits that remains if its target is out of reach, and the penalty per missing corrosion class. Ranking only. */
const LEAST_REACH = 0.3
const SHORT_COSTS = 0.2

function weighted(merits: Readonly<Record<Merit, number>>, weights: UseWeights): number {
  const sum = MERITS.reduce((total, merit) => total + weights[merit], 0)
  return sum === 0 ? 0 : MERITS.reduce((total, merit) => total + weights[merit] * merits[merit], 0) / sum
}

/** Wear, 0..1: carbide by its hardness, MC counted twice. A tendency. */
const wearOf = ({ carbideFraction, austenite }: Prediction): number =>
  Math.min(1, (carbideFraction + 2 * austenite.mcFraction + austenite.m6cFraction) / 0.14)

/** So much undissolved carbide breaks out of the finest edge. Powder steels hold theirs fine. Common practice, no published source. */
const COARSE_CARBIDE = 0.1
const POWDER_SHARE = 0.45
/** An edge this fine asks for fine carbide alone, one so stout hardly minds, degrees a side. Common practice, no published source. */
const FINEST_EDGE_DEG = 12
const STOUT_EDGE_DEG = 22

/** How well a thin edge holds its shape, 0..1: large carbides break out of it, the more the finer it is ground. A tendency. */
function edgeStability(grade: Grade, { carbideFraction, austenite }: Prediction, edgeDeg: number): number {
  const carbide = (carbideFraction + austenite.mcFraction + austenite.m6cFraction) / COARSE_CARBIDE
  const coarse = Math.min(1, carbide * (grade.made === 'powder' ? POWDER_SHARE : 1))
  const asked = Math.min(1, Math.max(0.15, (STOUT_EDGE_DEG - edgeDeg) / (STOUT_EDGE_DEG - FINEST_EDGE_DEG)))
  return 1 - coarse * asked
}

interface Grounds {
  readonly corrosionClass: CorrosionClass
  readonly p: Prediction
  readonly target: TargetHrc
  readonly miss: number
  readonly short: number
  readonly merits: Readonly<Record<Merit, number>>
  readonly edgeDeg: number
}

/** An edge finer than this, degrees a side, breaks out of a steel of large carbides. Common practice, no published source. */
const FINE_EDGE_DEG = 15

const reason = ({
  corrosionClass,
  p,
  target,
  miss,
  short,
  merits: { wear, toughness },
  edgeDeg,
}: Grounds): RankReason => ({
  hrc: p.finalHrc.mean,
  target,
  reaches: miss < REACHED_WITHIN_HRC ? 'within' : p.finalHrc.mean < target.min ? 'short' : 'above',
  edge: wear > 0.7 ? (edgeDeg < FINE_EDGE_DEG ? 'long-and-coarse' : 'long') : wear < 0.25 ? 'very-fine' : 'fine',
  strength: toughness > 0.6 ? 'tough' : toughness < 0.3 ? 'brittle' : 'usual',
  corrosionClass,
  rustsTooSoon: short > 0,
})
