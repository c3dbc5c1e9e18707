import { fail, ok, type Result } from '../codes/result'

/**
 * A hold at austenitize temperature, min, whole, and what it is made of: until the first blade is there, its soak, until the last is
 * pulled, and some to spare.
 */
export interface SoakHold {
  readonly holdMin: number
  readonly lagMin: number
  readonly soakMin: number
  readonly pullsMin: number
  readonly spareMin: number
}

/** Purpose of a segment: one of the preheats, counted from 1, or the soak. */
export type Purpose =
  | { readonly kind: 'equalise'; readonly round: number }
  | { readonly kind: 'soak'; readonly hold: SoakHold }

/** One line keyed into a controller. */
export interface Segment {
  readonly purpose: Purpose
  /** Blade temperature wanted, °C. */
  readonly nominalC: number
  /** Temperature to key: nominal with this oven's correction, °C; each scale is rounded where it is shown. */
  readonly setC: number
  /** null: as fast as the oven goes. */
  readonly rateCPerH: number | null
  readonly holdMin: number
}

export interface ProgrammeRequest {
  readonly equalise: readonly { readonly atC: number; readonly holdMin: number }[]
  readonly austenitizeC: number
  readonly hold: SoakHold
  /** Returns the set point at which blades reach a temperature, °C. */
  readonly keyedC: (wantedC: number) => number
  readonly ovenMaxC: number
  readonly foilMaxC: number | null
}

/**
 * Segments to key in: each preheat, then the soak. The correction is added to every step.
 * Errors: 'above-oven', 'above-foil'.
 */
export function buildProgramme(request: ProgrammeRequest): Result<Segment[]> {
  const setC = request.keyedC(request.austenitizeC)
  if (setC > request.ovenMaxC) return fail('above-oven', { setC, ovenMaxC: request.ovenMaxC }, 'austenitizeC')
  if (request.foilMaxC !== null && request.austenitizeC > request.foilMaxC)
    return fail('above-foil', { atC: request.austenitizeC, foilMaxC: request.foilMaxC }, 'austenitizeC')
  const preheats = request.equalise
    .filter(step => step.atC < request.austenitizeC)
    .map(
      (step, i): Segment => ({
        purpose: { kind: 'equalise', round: i + 1 },
        nominalC: step.atC,
        setC: request.keyedC(step.atC),
        rateCPerH: null,
        holdMin: step.holdMin,
      }),
    )
  return ok([
    ...preheats,
    {
      purpose: { kind: 'soak', hold: request.hold },
      nominalC: request.austenitizeC,
      setC,
      rateCPerH: null,
      holdMin: request.hold.holdMin,
    },
  ])
}
