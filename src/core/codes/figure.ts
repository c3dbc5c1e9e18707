import type { Interval } from '../numeric/coverage'
import { type WorkingCodes, type WorkingLine, type WorkingUnit, worked } from './working'

/** Codes of lines of working that are figures of their own: each has a name, and is made by one function. */
export type FigureCode = 'chance-in-target' | 'foil-cost-per-blade' | 'mains-current'

/**
 * A number that a person reads, with everything it rests on. Its code stands in the registry of `WorkingCodes`, whose words give its
 * equation and source; its unit says how it is rounded. One core function makes each figure; screens, papers and files place it.
 */
export type Figure<C extends FigureCode = FigureCode> = Extract<WorkingLine, { readonly code: C }> & {
  /** Null where no interval is stated. */
  readonly interval: Interval | null
  /** Inputs and intermediate values, in the order of the computation. */
  readonly grounds: readonly WorkingLine[]
}

/** Returns a figure of a known code; `value` is null where an input is missing. */
export const figure = <C extends FigureCode>(
  code: C,
  value: number | null,
  unit: WorkingUnit,
  params: WorkingCodes[C],
  { interval = null, grounds = [] }: Partial<Pick<Figure, 'interval' | 'grounds'>> = {},
): Figure<C> => ({ ...worked(code, value, unit, params), interval, grounds }) as Figure<C>
