import type { Grade } from '../../data/grades'
import type { Route } from './route'

export const TALES = ['hardness-rust', 'cold', 'twice', 'not-450', 'hotter-softer'] as const
export type TaleName = (typeof TALES)[number]

/** Input that is moved in a demonstration: its range and step. */
export interface Knob {
  readonly moves: 'temper-twice' | 'temper' | 'cold' | 'soak'
  readonly min: number
  readonly max: number
  readonly step: number
  readonly first: number
  readonly kind: 'temperature' | 'cold'
}

export interface TaleFigure {
  readonly name: TaleFigureName
  /** Value along the knob, and at it. */
  readonly along: readonly (readonly [at: number, value: number])[]
  readonly now: number
}

/** HRC; chromium in %; shares 0..1; grain held as a multiple of what is needed. */
export type TaleFigureName = 'hardness' | 'chromium' | 'retained' | 'fresh' | 'grain'

/** Observation at a knob's setting. */
export type Seen =
  | { readonly code: 'rust-not-hardness'; readonly movesHrc: number }
  | { readonly code: 'not-stainless'; readonly chromium: number }
  | { readonly code: 'cold-turns'; readonly share: number; readonly gainHrc: number }
  | { readonly code: 'fresh-martensite'; readonly share: number }
  | { readonly code: 'chromium-lost'; readonly share: number }
  | { readonly code: 'chromium-stays' }
  | { readonly code: 'hotter-softer'; readonly hardestC: number; readonly coarse: boolean }
  | { readonly code: 'hardest-near'; readonly hardestC: number }

export interface TaleAnswer {
  readonly figures: readonly TaleFigure[]
  /** Observation here; it follows the knob. */
  readonly seen: Seen
}

/** Cold ways along the knob: none, freezer, dry ice, liquid nitrogen. */
export const COLD_STEPS_C: readonly (number | null)[] = [null, -18, -75, -196]

/** Where a route stands on the knob of a tale; null where it has no such step, or lies beyond the knob's ends. */
export function settingOf(tale: TaleName, grade: Grade, route: Route): number | null {
  const { moves, min, max } = knobOf(tale, grade)
  const hottest = Math.max(...route.tempers.map(({ atC }) => atC))
  const at =
    moves === 'soak' ? route.austenitizeC : moves === 'cold' ? COLD_STEPS_C.indexOf(route.cold?.toC ?? null) : hottest
  return at >= min && at <= max ? at : null
}

/** The knob of a tale for a grade. */
export function knobOf(tale: TaleName, grade: Grade): Knob {
  const { minC, maxC, defaultC } = grade.austenitize
  if (tale === 'hardness-rust')
    return { moves: 'temper-twice', min: 150, max: 390, step: 5, first: 200, kind: 'temperature' }
  if (tale === 'cold') return { moves: 'cold', min: 0, max: 3, step: 1, first: 2, kind: 'cold' }
  if (tale === 'twice') return { moves: 'temper', min: 400, max: 560, step: 5, first: 510, kind: 'temperature' }
  if (tale === 'not-450') return { moves: 'temper-twice', min: 180, max: 560, step: 5, first: 460, kind: 'temperature' }
  return {
    moves: 'soak',
    min: minC - 40,
    max: maxC + 60,
    step: 5,
    first: Math.round(defaultC / 5) * 5,
    kind: 'temperature',
  }
}
