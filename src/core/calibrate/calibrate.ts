import { quantileSorted } from 'simple-statistics'
import { MODEL_FAMILIES, STEEL_FACTS, type SteelFact } from '../../data/steel-facts'
import { type Constants, fitConstants, withConstants } from './fit-constants'
import { chartedHrc, modelFigure } from './model-figure'

/** A fact with what the model said of it while it had not seen its steel. */
export interface HeldOut {
  readonly fact: SteelFact
  /** Of the composition alone, in the figure's unit. */
  readonly model: number
  /** On the chart of the shipped grade, HRC; null where it has none, or the fact is a point of it. */
  readonly charted: number | null
}

/** How far the model is off where it has not seen the steel, HRC. */
export interface HeldOutError {
  /** One standard deviation of the band: nine of ten held-out figures lie within 1.645 of it. */
  readonly sdHrc: number
  readonly rmsHrc: number
  readonly figures: number
  readonly steels: number
}

export interface Calibration {
  readonly constants: Constants
  readonly heldOut: readonly HeldOut[]
  readonly families: Readonly<Record<(typeof MODEL_FAMILIES)[number], HeldOutError>>
  readonly charted: HeldOutError
}

const ITERATIONS = 80
const FIT = STEEL_FACTS.filter(fact => fact.use === 'fit')

/** Root of the mean square. */
export const rms = (errors: readonly number[]): number =>
  Math.sqrt(errors.reduce((sum, error) => sum + error ** 2, 0) / errors.length)

/**
 * The error of figures the model had not seen. The band is drawn so that nine in ten of them lie in it; with few of them
 * the largest stands for the tenth, so that a family of which little is known is told wide.
 */
function errorOf(rows: readonly { readonly steel: string; readonly error: number }[]): HeldOutError {
  const sizes = rows.map(row => Math.abs(row.error)).sort((a, b) => a - b)
  return {
    sdHrc: Number((quantileSorted(sizes, 0.9) / 1.645).toFixed(2)),
    rmsHrc: Number(rms(sizes).toFixed(2)),
    figures: rows.length,
    steels: new Set(rows.map(row => row.steel)).size,
  }
}

/**
 * The constants fitted to all that may be fitted to, and what the model is worth on steels it has not seen: fitted again with one
 * steel left out at a time, each asked for the steel that was left out. Frozen facts are never fitted to.
 * Takes minutes: for `npm run calibrate`.
 */
export function calibrate(onSteel: (steel: string) => void): Calibration {
  const heldOut = [...new Set(FIT.map(fact => fact.steel))].flatMap(steel => {
    onSteel(steel)
    const constants = fitConstants(
      FIT.filter(fact => fact.steel !== steel),
      ITERATIONS,
    )
    return withConstants(constants, () =>
      STEEL_FACTS.filter(fact => fact.steel === steel).map(
        (fact): HeldOut => ({ fact, model: modelFigure(fact), charted: chartedHrc(fact) }),
      ),
    )
  })
  const hardness = heldOut.filter(({ fact }) => fact.figure === 'hrc')
  const errorsIn = (family: string) =>
    hardness
      .filter(({ fact }) => fact.family === family && fact.use === 'fit')
      .map(({ fact, model }) => ({ steel: fact.steel, error: model - fact.stated }))
  return {
    constants: fitConstants(FIT, ITERATIONS),
    heldOut,
    families: Object.fromEntries(
      MODEL_FAMILIES.map(family => [family, errorOf(errorsIn(family))]),
    ) as Calibration['families'],
    charted: errorOf(
      hardness.flatMap(({ fact, charted }) =>
        charted === null || fact.use === 'frozen' ? [] : [{ steel: fact.steel, error: charted - fact.stated }],
      ),
    ),
  }
}
