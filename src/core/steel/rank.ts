import { CORROSION_CLASSES, type CorrosionClass, type Grade } from '../../data/grades'
import { HRC_PER_DEGREE, USES, type UseName } from '../../data/uses'
import { foilFor } from '../foil/foil-type'
import { type Prediction, predict } from './predict'
import type { Route } from './route'
import { suggestRoute, type TargetHrc } from './suggest'

export interface RankRequest {
  readonly grades: readonly Grade[]
  readonly use: UseName
  /** Edge angle, degrees a side. */
  readonly edgeDeg: number
  readonly thicknessMm: number
  readonly coldToC: number | null
  readonly ovenMaxC: number
  /** Whether the shop can quench in oil; plates alone otherwise. */
  readonly oil: boolean
}

export interface RankedGrade {
  readonly grade: Grade
  readonly target: TargetHrc
  readonly route: Route
  readonly hrc: Prediction['finalHrc']
  readonly retained: number
  readonly corrosion: number
  /** 0..1, for the order alone. */
  readonly score: number
  /** One sentence on what speaks for it and what against. */
  readonly why: string
}

export interface RefusedGrade {
  readonly grade: Grade
  readonly why: string
}

/** Hardness wanted for a use at an edge angle: a finer edge wants it harder to hold, up to what the use bears. */
export function targetFor(use: UseName, edgeDeg: number): TargetHrc {
  const { hrc, edgeDeg: usual } = USES[use]
  const shift = Math.min(1, Math.max(-1, HRC_PER_DEGREE * (edgeDeg - usual)))
  const half = (value: number) => Math.round(2 * (value + shift)) / 2
  return { min: half(hrc[0]), max: half(hrc[1]) }
}

/**
 * What a shop can not do with a grade, in plain words; null when it can. Oil-hardening grades are refused between plates:
 * they must pass their nose in a second or a few.
 */
export function cannotDo(grade: Grade, can: Pick<RankRequest, 'ovenMaxC' | 'oil'>): string | null {
  const nose = grade.quench.slowest800to500S
  if (grade.quench.needs !== 'plates' && !can.oil)
    return `It must pass from 800 to 500 °C in ${nose} s or less: plates and foil are too slow, it needs ${grade.quench.needs === 'fast-oil' ? 'a fast oil' : 'an oil bath'}.`
  if (grade.austenitize.minC > can.ovenMaxC)
    return `It needs ${Math.round(grade.austenitize.minC)} °C at the least; this oven ends at ${Math.round(can.ovenMaxC)} °C.`
  if (!foilFor(grade.austenitize.minC).ok) return `No foil stands its ${Math.round(grade.austenitize.minC)} °C.`
  return null
}

const classRank = (c: CorrosionClass) => CORROSION_CLASSES.indexOf(c)

/** Toughness tendency, 0..1: less carbide and less hardness are tougher. A tendency, not a measured toughness. */
export function toughnessTendency(p: Pick<Prediction, 'austenite' | 'finalHrc' | 'grainPinning'>): number {
  const { carbideFraction, mcFraction, m6cFraction } = p.austenite
  const carbide = Math.min(1, (carbideFraction + mcFraction + m6cFraction) / 0.18)
  const hard = Math.min(1, Math.max(0, (p.finalHrc.mean - 54) / 12))
  const grain = p.grainPinning < 1 ? 0.3 : 0
  return Math.max(0, 1 - 0.5 * carbide - 0.5 * hard - grain)
}

/** Grades for a use and a shop, best first, each with a route and its reason; and what the shop can not do, with why. */
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
  const route = suggestRoute(grade, target, request)
  const p = predict(grade, route)
  const middle = (target.min + target.max) / 2
  const miss = Math.max(0, Math.abs(p.finalHrc.mean - middle) - (target.max - target.min) / 2)
  const short = Math.max(0, classRank(grade.corrosionClass) - classRank(use.least))
  const rust = 1 - classRank(grade.corrosionClass) / (CORROSION_CLASSES.length - 1)
  const tough = toughnessTendency(p)
  const wear = Math.min(1, (p.carbideFraction + 2 * p.austenite.mcFraction + p.austenite.m6cFraction) / 0.14)
  const { weight } = use
  const sum = weight.corrosion + weight.toughness + weight.edge
  const fit = (weight.corrosion * rust + weight.toughness * tough + weight.edge * (0.5 + 0.5 * wear)) / sum
  const score = Math.max(0, fit - 0.25 * miss - 0.2 * short)
  return {
    grade,
    target,
    route,
    hrc: p.finalHrc,
    retained: p.retainedAustenite.final,
    corrosion: p.corrosion.index,
    score,
    why: reason({ grade, p, target, miss, short, tough, wear, edgeDeg: request.edgeDeg }),
  }
}

interface Grounds {
  readonly grade: Grade
  readonly p: Prediction
  readonly target: TargetHrc
  readonly miss: number
  readonly short: number
  readonly tough: number
  readonly wear: number
  readonly edgeDeg: number
}

const RUST_WORDS: Readonly<Record<CorrosionClass, string>> = {
  sea: 'stands salt water',
  kitchen: 'stands a wet kitchen',
  careful: 'spots if left wet',
  rusts: 'rusts unless oiled',
}

function reason({ grade, p, target, miss, short, tough, wear, edgeDeg }: Grounds): string {
  const reach =
    miss < 0.3
      ? `reaches ${p.finalHrc.mean.toFixed(1)} HRC`
      : `comes to ${p.finalHrc.mean.toFixed(1)} HRC, ${p.finalHrc.mean < target.min ? 'short of' : 'above'} ${target.min} to ${target.max}`
  const edge =
    wear > 0.7
      ? edgeDeg < 15
        ? 'wears long, but its large carbides do not love so thin an edge'
        : 'wears long'
      : wear < 0.25
        ? 'takes a very fine edge'
        : 'takes a fine edge and keeps it a fair while'
  const strength = tough > 0.6 ? ' and takes knocks' : tough < 0.3 ? ' and chips if twisted' : ''
  const rust =
    short > 0 ? `but it ${RUST_WORDS[grade.corrosionClass]}, less than this use asks` : RUST_WORDS[grade.corrosionClass]
  return `It ${reach}, ${edge}${strength}; ${short > 0 ? rust : `it ${rust}`}.`
}
