import { FOIL } from '../../data/foil'
import { STEEL_THERMAL } from '../../data/thermal'
import { type Caution, caution } from '../codes/caution'
import { type WorkingLine, worked } from '../codes/working'
import { airLoss, MEDIA, mediumC } from './air-loss'
import { FOLLOWED_S } from './cooling-time'
import { halfBlade, meanOf, PlateStack, type Plates, type Size, type StackConditions } from './plate-stack'
import { coolingCapacity } from './steel-enthalpy'

export const QUENCH_MEDIA = ['plates', 'still-air', 'fan-air', 'oil', 'fast-oil'] as const
export type QuenchMedium = (typeof QUENCH_MEDIA)[number]

export interface QuenchRequest {
  readonly blade: Size
  /** Foil around it, mm; 0: bare. */
  readonly foilMm: number
  readonly fromC: number
  readonly medium: QuenchMedium
  readonly plates: Plates
  readonly plateStartC: number
  readonly contactWPerM2K: number
  readonly airWPerM2K: number
  readonly martensiteStartC: number
  readonly ambientC: number
  /** Blades one after another on the same plates, a blade begun every so often, each clamped so long. */
  readonly count: number
  readonly everyS: number
  readonly clampedS: number
  /** Seconds in still air between oven and clamp. */
  readonly delayS?: number | undefined
  /** Left between foil and plates, as by folds or a bow, mm. */
  readonly clearanceMm?: number | undefined
}

export interface QuenchedBlade {
  /** Seconds to each temperature, °C; null where it was not reached while followed. */
  readonly secondsTo: Readonly<Record<string, number | null>>
  readonly plateStartC: number
  readonly platePeakC: number
  readonly leavesC: number
  readonly rate800to500CPerS: number | null
}

export interface Quench {
  readonly blades: readonly QuenchedBlade[]
  /** Blades after which the plates need a rest; null where they take all. */
  readonly pauseAfter: number | null
  /** How long they rest to be as they were within 15 °C, s. */
  readonly recoverS: number
  /** First blade: [s, blade °C, plate °C where it touches]. */
  readonly curve: readonly (readonly [s: number, bladeC: number, plateC: number])[]
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

export const MARKS_C = [800, 500, 300, 100, 60] as const
/** Too warm to be handled, and above every martensite start worth having, °C. */
const HANDLE_C = 60
const REST_WITHIN_K = 15
const LONGEST_REST_S = 3600

/**
 * A blade, or blades one after another, from the soak until they can be held between plates, in air or in oil.
 * Plates: one-dimensional conduction with contact, spreading and air (PlateStack). Air and oil: the blade lumped, with
 * radiation (Biot below 0.1).
 */
export function quench(request: QuenchRequest): Quench {
  return request.medium === 'plates' ? platesQuench(request) : lumpedQuench(request)
}

/** Inputs for following one blade of many by itself. */
type Once = Pick<
  QuenchRequest,
  'blade' | 'foilMm' | 'fromC' | 'medium' | 'plates' | 'plateStartC' | 'contactWPerM2K' | 'airWPerM2K' | 'ambientC'
>

/**
 * One blade followed for some seconds, as the first of `quench` is. Its martensite, which forms below 500 °C, is left out: this is
 * for what happens above.
 */
export function onceQuenched(once: Once, seconds: number): QuenchedBlade {
  const request = { ...once, martensiteStartC: 0, count: 1, everyS: seconds, clampedS: seconds }
  if (request.medium !== 'plates') return lumpedBlade(request).blade
  const conditions: StackConditions = { ...request, contactWPerM2K: contactAcross(request) }
  return clampOne(new PlateStack(request.plates, request.plateStartC), request, conditions, seconds, null)
}

const stepAt = (s: number) => (s < 2 ? 0.02 : s < 20 ? 0.1 : s < 90 ? 0.5 : 2)

function platesQuench(request: QuenchRequest): Quench {
  const { blade, fromC, count } = request
  const conditions: StackConditions = { ...request, contactWPerM2K: contactAcross(request) }
  const stack = new PlateStack(request.plates, request.plateStartC)
  const blades: QuenchedBlade[] = []
  const curve: [number, number, number][] = []
  for (let n = 0; n < count; n++) {
    const followed = n === 0 && count === 1 ? FOLLOWED_S : request.clampedS
    const one = clampOne(stack, request, conditions, followed, n === 0 ? curve : null)
    blades.push(one)
    for (let s = followed; s < request.everyS && n + 1 < count; s += 1) stack.step(null, blade, conditions, 1)
  }
  const pauseAfter = firstTooHot(blades, request)
  const recoverS = rest(stack, request, conditions)
  if (count > 1 && curve.length > 0) {
    // The first blade alone, followed on, for the drawing.
    curve.length = 0
    clampOne(new PlateStack(request.plates, request.plateStartC), request, conditions, FOLLOWED_S / 6, curve)
  }
  return {
    blades,
    pauseAfter,
    recoverS,
    curve,
    cautions: cautionsOf(request, blades, fromC),
    working: workingOf(request, blades[0]),
  }
}

function clampOne(
  stack: PlateStack,
  request: QuenchRequest,
  conditions: StackConditions,
  seconds: number,
  curve: [number, number, number][] | null,
): QuenchedBlade {
  const marks = createMarks(request)
  const wrapped = withFoil(request)
  const plateStartC = stack.meanC(request.blade)
  let platePeakC = stack.contactC
  curve?.push([0, request.fromC, stack.contactC])
  let [s, bladeC] = inAir(request, marks)
  const steel = halfBlade(bladeC)
  while (s < seconds - 1e-9) {
    const dt = Math.min(stepAt(s), seconds - s)
    stack.step(steel, wrapped, conditions, dt)
    const c = meanOf(steel)
    marks.pass(bladeC, c, s, dt)
    bladeC = c
    s += dt
    platePeakC = Math.max(platePeakC, stack.contactC)
    const last = curve?.at(-1)
    if (curve && last && s - last[0] >= Math.max(0.2, last[0] * 0.03)) curve.push([s, bladeC, stack.contactC])
  }
  return { ...marks.read(), plateStartC, platePeakC, leavesC: bladeC }
}

/**
 * Contact in series with the air of a clearance; its conductivity at the middle of the quench. A contact is stated for a blade in the
 * usual foil: of its two faces a bare blade has one, and thicker foil conducts through what it has more.
 */
function contactAcross({ contactWPerM2K, clearanceMm = 0, foilMm }: QuenchRequest): number {
  const faces = foilMm > 0 ? 1 : 1 / 2
  const more = Math.max(0, foilMm - FOIL.thicknessMm) / 1000 / FOIL_W_PER_MK
  return 1 / (faces / contactWPerM2K + more + clearanceMm / 1000 / GAP_AIR_W_PER_MK)
}
/** Stainless foil, W/mK. Textbook value, from memory. */
const FOIL_W_PER_MK = 20

/** A blade with the heat of its foil, as so much more or less steel than in the usual foil. */
const withFoil = ({ blade, foilMm }: QuenchRequest): Size => ({
  ...blade,
  thicknessMm: Math.max(0.1, blade.thicknessMm + 2 * (foilMm - FOIL.thicknessMm)),
})
/** Air at about 400 °C, W/mK. Textbook value, from memory. */
const GAP_AIR_W_PER_MK = 0.05

/** From the oven to the clamp, in still air in its foil: the second it is clamped and what it is by then. */
function inAir(request: QuenchRequest, marks: ReturnType<typeof createMarks>): [s: number, c: number] {
  const delayS = request.delayS ?? 0
  const kgPerM2 = (STEEL_THERMAL.densityKgPerM3 * request.blade.thicknessMm) / 2000
  let [s, c] = [0, request.fromC]
  while (s < delayS - 1e-9) {
    const dt = Math.min(0.05, delayS - s)
    const next =
      c -
      (airLoss(c, 'still-air', request.foilMm > 0, request.ambientC) * dt) /
        (kgPerM2 * coolingCapacity(c, request.martensiteStartC))
    marks.pass(c, next, s, dt)
    c = next
    s += dt
  }
  return [s, c]
}

/** Watches a falling temperature pass its marks, straight lines between steps. */
function createMarks({ martensiteStartC }: QuenchRequest) {
  const marksC = [...new Set([...MARKS_C, Math.round(martensiteStartC)])].sort((a, b) => b - a)
  const seconds: (number | null)[] = marksC.map(() => null)
  /** The hottest mark that is not passed yet: a quench takes a thousand steps, and most pass none. */
  let next = 0
  return {
    pass(fromC: number, toC: number, s: number, dt: number) {
      for (; next < marksC.length && toC <= (marksC[next] as number); next++) {
        const mark = marksC[next] as number
        if (fromC > mark) seconds[next] = s + (dt * (fromC - mark)) / (fromC - toC)
      }
    },
    read() {
      const secondsTo = Object.fromEntries(marksC.map((mark, i) => [String(mark), seconds[i] ?? null]))
      const [at800, at500] = [secondsTo['800'] ?? null, secondsTo['500'] ?? null]
      return { secondsTo, rate800to500CPerS: at800 === null || at500 === null ? null : 300 / (at500 - at800) }
    },
  }
}

/** Returns the highest temperature at which a blade may leave its clamp: below martensite start, and fit for a gauntlet, °C. */
export const tooHotC = (martensiteStartC: number): number =>
  Math.max(HANDLE_C + 40, Math.min(martensiteStartC, 200) - 20)

/** The first blade that leaves its clamp above martensite start or the hand: the pause comes before it. */
function firstTooHot(blades: readonly QuenchedBlade[], { martensiteStartC }: QuenchRequest): number | null {
  const limit = tooHotC(martensiteStartC)
  const at = blades.findIndex(blade => blade.leavesC > limit)
  return at < 0 ? null : Math.max(1, at)
}

function rest(stack: PlateStack, request: QuenchRequest, conditions: StackConditions): number {
  let s = 0
  const goalC = Math.max(request.plateStartC, request.ambientC) + REST_WITHIN_K
  while (stack.meanC(request.blade) > goalC && s < LONGEST_REST_S) {
    stack.step(null, request.blade, conditions, 5)
    s += 5
  }
  return s
}

function lumpedQuench(request: QuenchRequest): Quench {
  const { blade, curve } = lumpedBlade(request)
  return {
    blades: Array.from({ length: request.count }, () => blade),
    pauseAfter: null,
    recoverS: 0,
    curve,
    cautions: [],
    working: workingOf(request, blade),
  }
}

/** A blade as one temperature, until it can be held. */
function lumpedBlade(request: QuenchRequest): { readonly blade: QuenchedBlade; readonly curve: Quench['curve'] } {
  const medium = request.medium as keyof typeof MEDIA
  const kgPerM2 = (STEEL_THERMAL.densityKgPerM3 * request.blade.thicknessMm) / 2000
  const marks = createMarks(request)
  const curve: [number, number, number][] = [[0, request.fromC, request.ambientC]]
  let c = request.fromC
  let s = 0
  while (s < 3600 && c > Math.max(HANDLE_C, mediumC(medium, request.ambientC) + 5) - 1) {
    const dt = s < 20 ? 0.02 : 0.2
    const next =
      c -
      (airLoss(c, medium, request.foilMm > 0, request.ambientC) * dt) /
        (kgPerM2 * coolingCapacity(c, request.martensiteStartC))
    marks.pass(c, next, s, dt)
    c = next
    s += dt
    const last = curve.at(-1) as [number, number, number]
    if (s - last[0] >= Math.max(0.2, last[0] * 0.03)) curve.push([s, c, request.ambientC])
  }
  const blade: QuenchedBlade = {
    ...marks.read(),
    plateStartC: request.ambientC,
    platePeakC: request.ambientC,
    leavesC: c,
  }
  return { blade, curve }
}

function cautionsOf(request: QuenchRequest, blades: readonly QuenchedBlade[], fromC: number): Caution[] {
  const { blade, plates } = request
  const hot = firstTooHot(blades, request)
  return [
    ...(plates.thicknessMm < 3 * blade.thicknessMm
      ? [caution('thin-plates', { plateMm: plates.thicknessMm, bladeMm: blade.thicknessMm })]
      : []),
    ...(plates.lengthMm < blade.lengthMm || plates.widthMm < blade.widthMm ? [caution('small-plates', {})] : []),
    ...(fromC > 1300 ? [caution('melting', { atC: fromC })] : []),
    ...(hot === null ? [] : [caution('plates-hot', { blade: hot + 1, leavesC: blades[hot]?.leavesC ?? 0 })]),
  ]
}

function workingOf(request: QuenchRequest, first: QuenchedBlade | undefined): WorkingLine[] {
  const plates = request.medium === 'plates'
  const contact = plates ? request.contactWPerM2K : MEDIA[request.medium as keyof typeof MEDIA].h
  return [
    worked('contact-through-foil', contact, 'W/m²K', { plates }),
    worked('steel-on-cooling', null, '', {}),
    worked('rate-800-500', first?.rate800to500CPerS ?? null, 'K/s', { plates }),
  ]
}
