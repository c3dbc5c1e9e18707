/** One thing wrong with what was given: a code for programs, plain words for people, and where it stands. */
export interface Problem {
  readonly code: string
  readonly message: string
  /** Dotted path into the input, '' for the whole of it. */
  readonly path: string
}

/** An expected failure is a value, never an exception. */
export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] }

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const fail = (code: string, message: string, path = ''): Result<never> => ({
  ok: false,
  problems: [{ code, message, path }],
})

/** One line of the working behind a computed figure. */
export interface WorkingLine {
  readonly name: string
  readonly value: number | string
  readonly unit: string
  readonly equation: string
  readonly source: string
}

/** A warning that goes with a result. */
export interface Caution {
  readonly code: string
  readonly message: string
}

/** A figure with its standard uncertainty (one sigma). */
export interface Estimate {
  readonly mean: number
  readonly sd: number
}
