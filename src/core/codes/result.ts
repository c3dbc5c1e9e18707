import { type Problem, type ProblemCode, type ProblemCodes, problem } from './problem'

/** An expected failure is a value, never an exception. */
export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] }

/** A success. */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

/** A failure for one reason; `path` is dotted into the input, '' for the whole of it. */
export const fail = <C extends ProblemCode>(code: C, params: ProblemCodes[C], path = ''): Result<never> => ({
  ok: false,
  problems: [problem(code, params, path)],
})

/** A figure with its standard uncertainty (one standard deviation). */
export interface Estimate {
  readonly mean: number
  readonly sd: number
}

/** Result of saving: saved, or the reason it was not. */
export interface Saving {
  readonly saved: boolean
  /** Problems of the input, each with its path; or that the browser refused. */
  readonly problems: readonly Problem[]
  /** Says that the problems are shown beside their field, so that they are not said a second time elsewhere. */
  readonly shownBeside?: () => void
}
