/**
 * Something to be told, as a code with what a sentence about it needs. Core never words it: `src/words` does, in the shop's units.
 * `Codes` maps each code to its parameters, whose names carry their units.
 */
export type Said<Codes> = {
  readonly [Code in keyof Codes]: { readonly code: Code; readonly params: Codes[Code] }
}[keyof Codes]

/** Parameters of a code that needs none. */
export type Nothing = Readonly<Record<string, never>>
export const NOTHING: Nothing = {}
