import { STEEL_FACTS, type SteelFact } from '../../data/steel-facts'
import { compositionDistance, distanceFrom, type Place, placeOf } from '../steel/known-distance'
import { combinedParameter } from '../steel/tempering'
import { type ErrorModel, errorModelOf, type UnseenError } from './error-model'
import { type Constants, fitConstants, withConstants } from './fit-constants'
import { chartedHrc, modelFigure, routeOfFact } from './model-figure'

/** A fact with what the model said of it while it had not seen its steel. */
export interface HeldOut {
  readonly fact: SteelFact
  /** Of the composition alone, in the figure's unit. */
  readonly model: number
  /** On the chart of the shipped grade, HRC; null where it has none, or the fact is a point of it. */
  readonly charted: number | null
  /** Distance to the nearest figure that the model had seen. */
  readonly distance: number
}

export interface Calibration {
  readonly constants: Constants
  readonly heldOut: readonly HeldOut[]
  readonly errors: ErrorModel
  /** Figures fitted to, as places that distances are taken from. */
  readonly known: readonly Place[]
}

const ITERATIONS = 60
/** From the constants of all steels on, those without one are a few steps away. */
const ITERATIONS_FROM_ALL = 8
/** Compositions nearer than this are one steel under two names. */
const ONE_STEEL_WITHIN = 0.5

const FIT = STEEL_FACTS.filter(fact => fact.use === 'fit')

/** Root of the mean square. */
export const rms = (errors: readonly number[]): number =>
  Math.sqrt(errors.reduce((sum, error) => sum + error ** 2, 0) / errors.length)

/** The place of a fact on its route. */
export const placeOfFact = (fact: SteelFact): Place =>
  placeOf(fact.composition, fact.austenitizeC, combinedParameter(routeOfFact(fact).tempers))

/**
 * The constants fitted to all that may be fitted to, and what the model is worth on steels it has not seen: fitted again with one
 * steel left out at a time, each asked for the steel that was left out. Frozen facts are never fitted to.
 * Takes minutes: for `npm run calibrate`.
 */
export function calibrate(onSteel: (steel: string) => void): Calibration {
  const constants = fitConstants(FIT, ITERATIONS)
  const heldOut = [...new Set(FIT.map(fact => fact.steel))].flatMap(steel => {
    onSteel(steel)
    const own = STEEL_FACTS.filter(fact => fact.steel === steel)
    const here = placeOfFact(own[0] as SteelFact)
    const others = FIT.filter(fact => compositionDistance(placeOfFact(fact), here) >= ONE_STEEL_WITHIN)
    const distance = distanceFrom((own[0] as SteelFact).composition, others.map(placeOfFact))
    return withConstants(fitConstants(others, ITERATIONS_FROM_ALL, constants), () =>
      own.map((fact): HeldOut => {
        const [, , , , , atC, parameter] = placeOfFact(fact)
        return { fact, model: modelFigure(fact), charted: chartedHrc(fact), distance: distance(atC, parameter) }
      }),
    )
  })
  const hardness = heldOut.filter(({ fact }) => fact.figure === 'hrc' && fact.use === 'fit')
  return {
    constants,
    heldOut,
    errors: errorModelOf(
      hardness.map(
        ({ fact, model, distance }): UnseenError => ({
          steel: fact.steel,
          family: fact.family,
          errorHrc: model - fact.stated,
          distance,
        }),
      ),
      hardness.flatMap(({ fact, charted }) =>
        charted === null ? [] : [{ steel: fact.steel, errorHrc: charted - fact.stated }],
      ),
    ),
    known: FIT.filter(fact => fact.figure === 'hrc').map(placeOfFact),
  }
}
