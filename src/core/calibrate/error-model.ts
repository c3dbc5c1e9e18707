import { quantileSorted } from 'simple-statistics'
import { MODEL_FAMILIES, type ModelFamily } from '../../data/steel-facts'

/** Error of a figure whose steel the model had not seen. */
export interface UnseenError {
  readonly steel: string
  readonly family: ModelFamily
  readonly errorHrc: number
  /** Distance to the nearest figure that the model had seen. */
  readonly distance: number
}

/** The model's error on unseen steels, HRC, and how well its band did on them. */
export interface FamilyError {
  /** One standard deviation beside a figure that was seen. */
  readonly sdHrc: number
  readonly rmsHrc: number
  readonly figures: number
  readonly steels: number
  /** Share of the figures within the 90 % band, 0..1, and its mean width, HRC. */
  readonly held: number
  readonly widthHrc: number
}

export interface ErrorModel {
  readonly families: Readonly<Record<ModelFamily, FamilyError>>
  readonly charted: FamilyError
  /** Further error for each step away from what is known, in quadrature, HRC. */
  readonly farHrc: number
}

const Z90 = 1.645
/** Every family starts from this many figures of the error of all steels. */
const SHRINK_FIGURES = 3
/** A chart measured on one steel is one piece of evidence about its family, not ten: figures of a steel count as this many at most. */
const FIGURES_OF_A_STEEL = 3

/** Steels left out lie mostly near others: their errors alone say little about far ones, so that a judged growth stands as prior, HRC. */
const FAR_PRIOR = { meanHrc: 0.5, sdHrc: 0.15 }

const grid = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + i * step)

interface Weighted extends UnseenError {
  readonly weight: number
}

/** Log likelihood of errors that are normal with variance sd² + (far·distance)². */
const likelihood = (rows: readonly Weighted[], sd: number, far: number) =>
  rows.reduce((sum, { errorHrc, distance, weight }) => {
    const variance = sd ** 2 + (far * distance) ** 2
    return sum - (weight * (Math.log(variance) + errorHrc ** 2 / variance)) / 2
  }, 0)

const best = (values: readonly number[], score: (value: number) => number) =>
  values.reduce((a, b) => (score(b) > score(a) ? b : a))

/**
 * Errors of the model where it has not seen the steel: one standard deviation a family and one growth with distance for all, by maximum
 * likelihood on a grid. Charted errors have too few figures for that: their band holds nine in ten.
 */
export function errorModelOf(
  rows: readonly UnseenError[],
  charted: readonly Pick<UnseenError, 'steel' | 'errorHrc'>[],
): ErrorModel {
  const ofSteel = (steel: string) => rows.filter(row => row.steel === steel).length
  const weighted = rows.map(row => ({
    ...row,
    weight: Math.min(FIGURES_OF_A_STEEL, ofSteel(row.steel)) / ofSteel(row.steel),
  }))
  const sds = grid(0.4, 3, 0.02)
  const fitted = grid(0, 2, 0.05).map(far => {
    const pooled = best(sds, sd => likelihood(weighted, sd, far))
    const prior = Array.from({ length: SHRINK_FIGURES }, () => ({
      ...(weighted[0] as Weighted),
      weight: 1,
      distance: 0,
      errorHrc: pooled,
    }))
    const byFamily = MODEL_FAMILIES.map(family => {
      const own = [...weighted.filter(row => row.family === family), ...prior]
      return best(sds, sd => likelihood(own, sd, far))
    })
    const total = MODEL_FAMILIES.reduce(
      (sum, family, i) =>
        sum +
        likelihood(
          weighted.filter(row => row.family === family),
          byFamily[i] as number,
          far,
        ),
      -(((far - FAR_PRIOR.meanHrc) / FAR_PRIOR.sdHrc) ** 2) / 2,
    )
    return { far, byFamily, total }
  })
  const { far, byFamily } = fitted.reduce((a, b) => (b.total > a.total ? b : a))
  return {
    farHrc: Number(far.toFixed(2)),
    families: Object.fromEntries(
      MODEL_FAMILIES.map((family, i) => [
        family,
        familyError(
          rows.filter(row => row.family === family),
          byFamily[i] as number,
          far,
        ),
      ]),
    ) as ErrorModel['families'],
    charted: familyError(
      charted.map(row => ({ ...row, family: 'stainless', distance: 0 })),
      quantileSorted(
        charted.map(row => Math.abs(row.errorHrc)).sort((a, b) => a - b),
        0.9,
      ) / Z90,
      0,
    ),
  }
}

function familyError(rows: readonly UnseenError[], sdHrc: number, far: number): FamilyError {
  const half = rows.map(row => Z90 * Math.hypot(sdHrc, far * row.distance))
  return {
    sdHrc: Number(sdHrc.toFixed(2)),
    rmsHrc: Number(Math.sqrt(rows.reduce((sum, row) => sum + row.errorHrc ** 2, 0) / rows.length).toFixed(2)),
    figures: rows.length,
    steels: new Set(rows.map(row => row.steel)).size,
    held: rows.filter((row, i) => Math.abs(row.errorHrc) <= (half[i] as number)).length / rows.length,
    widthHrc: Number(((2 * half.reduce((sum, h) => sum + h, 0)) / rows.length).toFixed(1)),
  }
}
