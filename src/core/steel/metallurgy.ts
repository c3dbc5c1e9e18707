import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { type Austenite, austeniteAfterSoak } from './austenite'
import { martensiteStartC, retainedAfterCold, retainedAustenite, untemperedHrc } from './martensite'
import type { Route } from './route'
import {
  dropOf,
  retainedAfterTemper,
  type TemperShape,
  type TemperSteps,
  type TemperTerms,
  temperShape,
  temperSteps,
} from './tempering'

/** Plain hardness through a route, HRC. */
export interface HrcPath {
  readonly asQuenched: number
  readonly afterCold: number | null
  readonly afterTempers: readonly number[]
}

/** What the model alone says of a composition through a route, without any chart. */
export interface Metallurgy {
  readonly austenite: Austenite
  readonly shape: TemperShape
  readonly msC: number
  readonly retainedQuenched: number
  readonly retainedCold: number | null
  /** Retained austenite after each temper, 0..1. */
  readonly retainedTempered: readonly number[]
  /** Share of soft products from a quench slower than the grade needs, 0..1. */
  readonly softShare: number
  /** Combined tempering parameter after each temper. */
  readonly parameters: readonly number[]
  readonly path: HrcPath
}

/** What the model must know of a steel beside its composition. */
export interface ModelSteel {
  readonly made: 'ingot' | 'powder'
  /** Slowest 800 to 500 °C that still hardens through, s; null where it is not known. */
  readonly slowest800to500S: number | null
}

/**
 * Share that turned to soft products in a slow quench, 0..1: 5 % at the slowest the grade allows, growing as
 * 1 − exp(−a·(time ratio)²). Source: Avrami form, common practice.
 */
export function softShareOf(seconds: number | undefined, slowestS: number | null): number {
  if (seconds === undefined || slowestS === null) return 0
  return 1 - Math.exp(Math.log(1 - STEEL_MODEL.slowQuench.share) * (seconds / slowestS) ** 2)
}

/** A composition hardened, before any temper. */
export type Hardened = Omit<Metallurgy, 'retainedTempered' | 'parameters' | 'path'> & {
  readonly path: Omit<HrcPath, 'afterTempers'>
  /** Martensite with a share of retained austenite (0..1), untempered, HRC. */
  readonly untempered: (retained: number) => number
}

/** What the model says of a composition through a route: of the austenite, its quench and its tempers. */
export const metallurgy = (composition: Composition, steel: ModelSteel, route: Route): Metallurgy =>
  tempered(hardened(composition, steel, route), temperSteps(route.tempers))

/** The part of a route up to its first temper: most of the work, the same for every temper that may follow. */
export function hardened(composition: Composition, steel: ModelSteel, route: Omit<Route, 'tempers'>): Hardened {
  const { austenitizeC, soakMin, start = 'annealed', quenchedToC, cold } = route
  const austenite = austeniteAfterSoak(composition, { austenitizeC, soakMin, start, made: steel.made })
  const msC = martensiteStartC(austenite)
  const retainedQuenched = retainedAustenite(msC, quenchedToC)
  const retainedCold = cold ? retainedAfterCold(msC, quenchedToC, cold, route.chillTauMin) : null
  const softShare = softShareOf(route.seconds800to500, steel.slowest800to500S)
  const untempered = untemperedHrc(austenite)
  return {
    austenite,
    shape: temperShape(austenite),
    msC,
    retainedQuenched,
    retainedCold,
    softShare,
    untempered,
    path: {
      asQuenched: withSoftShare(untempered(retainedQuenched), softShare),
      afterCold: retainedCold === null ? null : withSoftShare(untempered(retainedCold), softShare),
    },
  }
}

const withSoftShare = (hrc: number, softShare: number) =>
  Math.max(0, (1 - softShare) * hrc + softShare * Math.min(hrc, STEEL_MODEL.slowQuench.productHrc))

/** Retained austenite before the first temper, 0..1. */
const retainedBefore = (hard: Pick<Hardened, 'retainedCold' | 'retainedQuenched'>): number =>
  hard.retainedCold ?? hard.retainedQuenched

/** The same after its tempers. */
export function tempered(hard: Hardened, steps: TemperSteps): Metallurgy {
  const { untempered, path, ...rest } = hard
  const retainedTempered = retainedThrough(hard, steps)
  return {
    ...rest,
    retainedTempered,
    parameters: steps.parameters,
    path: { ...path, afterTempers: retainedTempered.map((_, i) => hrcAfterTemper(hard, steps, retainedTempered, i)) },
  }
}

/** Hardness and retained austenite after the last temper alone; without a temper, of the untempered blade. */
export function temperedLast(hard: Hardened, steps: TemperSteps): { hrc: number; retained: number } {
  const through = retainedThrough(hard, steps)
  const last = through.at(-1)
  return last === undefined
    ? { hrc: hard.path.afterCold ?? hard.path.asQuenched, retained: retainedBefore(hard) }
    : { hrc: hrcAfterTemper(hard, steps, through, through.length - 1), retained: last }
}

function retainedThrough(hard: Hardened, { tempers }: TemperSteps): number[] {
  const through: number[] = []
  let retained = retainedBefore(hard)
  for (const temper of tempers) {
    retained = retainedAfterTemper(retained, temper, hard.shape)
    through.push(retained)
  }
  return through
}

/** A share of the blade below this is not worth a term of its own: it moves no figure by a thousandth of a point. */
const LEAST_SHARE = 1e-5

/**
 * Hardness after a temper: martensite with the austenite that is left after that temper. Each part of the martensite is
 * softened by the tempers that came after it was formed: what formed on cooling from a temper is fresh until the next.
 */
function hrcAfterTemper(hard: Hardened, steps: TemperSteps, retained: readonly number[], at: number): number {
  const first = retainedBefore(hard)
  let drop = (1 - first) * dropOf(steps.terms[at] as TemperTerms, hard.shape)
  for (let j = 0; j < at; j++) {
    const fresh = (j === 0 ? first : (retained[j - 1] as number)) - (retained[j] as number)
    if (fresh > LEAST_SHARE) drop += fresh * dropOf(steps.since(j)[at - j - 1] as TemperTerms, hard.shape)
  }
  return withSoftShare(hard.untempered(retained[at] as number) - drop, hard.softShare)
}

/** Retained austenite of the finished blade, 0..1. */
export const retainedFinal = (m: Metallurgy): number => m.retainedTempered.at(-1) ?? retainedBefore(m)
