import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { type Austenite, austeniteAfterSoak } from './austenite'
import { martensiteStartC, retainedAfterCold, retainedAustenite, untemperedHrc } from './martensite'
import type { Route } from './route'
import { parametersAfter, retainedAfterTemper, type TemperShape, temperDropHrc, temperShape } from './tempering'

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
type Hardened = Omit<Metallurgy, 'retainedTempered' | 'parameters' | 'path'> & {
  readonly path: Omit<HrcPath, 'afterTempers'>
  readonly untempered: number
  readonly soften: (hrc: number) => number
}

/** What the model says of a composition through a route: of the austenite, its quench and its tempers. */
export const metallurgy = (composition: Composition, steel: ModelSteel, route: Route): Metallurgy =>
  tempered(hardened(composition, steel, route), route.tempers)

/** The part of a route up to its first temper: most of the work, the same for every temper that may follow. */
export function hardened(composition: Composition, steel: ModelSteel, route: Omit<Route, 'tempers'>): Hardened {
  const { austenitizeC, soakMin, start = 'annealed', quenchedToC, cold } = route
  const austenite = austeniteAfterSoak(composition, { austenitizeC, soakMin, start, made: steel.made })
  const msC = martensiteStartC(austenite)
  const shape = temperShape(austenite)
  const retainedQuenched = retainedAustenite(msC, quenchedToC)
  const retainedCold = cold ? retainedAfterCold(msC, quenchedToC, cold) : null
  const before = retainedCold ?? retainedQuenched
  const softShare = softShareOf(route.seconds800to500, steel.slowest800to500S)
  const soften = (hrc: number) =>
    Math.max(0, (1 - softShare) * hrc + softShare * Math.min(hrc, STEEL_MODEL.slowQuench.productHrc))
  const untempered = untemperedHrc(austenite, before)
  return {
    austenite,
    shape,
    msC,
    retainedQuenched,
    retainedCold,
    softShare,
    untempered,
    soften,
    path: {
      asQuenched: soften(untemperedHrc(austenite, retainedQuenched)),
      afterCold: retainedCold === null ? null : soften(untempered),
    },
  }
}

/** The same after its tempers. */
export function tempered({ untempered, soften, path, ...hard }: Hardened, tempers: Route['tempers']): Metallurgy {
  const parameters = parametersAfter(tempers)
  const before = hard.retainedCold ?? hard.retainedQuenched
  const retainedTempered: number[] = []
  for (const temper of tempers) retainedTempered.push(retainedAfterTemper(retainedTempered.at(-1) ?? before, temper))
  return {
    ...hard,
    retainedTempered,
    parameters,
    path: {
      ...path,
      afterTempers: parameters.map(parameter => soften(untempered - temperDropHrc(parameter, hard.shape))),
    },
  }
}

/** Retained austenite of the finished blade, 0..1. */
export const retainedFinal = (m: Metallurgy): number =>
  m.retainedTempered.at(-1) ?? m.retainedCold ?? m.retainedQuenched
