import { type Composition, ELEMENTS, type Element, type Grade } from '../../data/grades'
import type { OutsideModel } from '../codes/caution'

export interface NearGrade {
  readonly grade: Grade
  /** Elements outside its range; none: the composition is one of this grade. */
  readonly differs: readonly OutsideModel[]
}

/** Elements that tell grades apart, and the step that makes one another steel, wt%. Judged. */
const STEPS: Readonly<Partial<Record<Element, number>>> = {
  C: 0.15,
  N: 0.08,
  Cr: 1.5,
  Mo: 0.7,
  W: 1,
  V: 0.7,
  Nb: 0.4,
  Ni: 0.8,
  Co: 1.5,
}

/** Traces that a range leaves open, which nobody adds, wt%. */
const TRACE = 0.3

function differences(composition: Composition, { nominal, range }: Grade): OutsideModel[] {
  return ELEMENTS.flatMap(element => {
    const value = composition[element]
    // What a sheet does not state is taken as the grade has it, but for what makes it another steel.
    if (value === undefined && STEPS[element] === undefined) return []
    const [least, most] = range[element] ?? [0, Math.max(TRACE, (nominal[element] ?? 0) * 1.1)]
    const stated = value ?? 0
    return stated < least || stated > most ? [{ element, value: stated, least, most }] : []
  })
}

/**
 * Returns the grades nearest to a composition (wt%), nearest first, with what differs: first those it is one of, then by the distance of what
 * tells grades apart.
 */
export function nearestGrades(composition: Composition, grades: readonly Grade[], count = 5): NearGrade[] {
  const distance = ({ nominal }: Grade) =>
    (Object.entries(STEPS) as [Element, number][]).reduce(
      (sum, [element, step]) => sum + (((composition[element] ?? 0) - (nominal[element] ?? 0)) / step) ** 2,
      0,
    )
  return grades
    .map(grade => ({ grade, differs: differences(composition, grade), distance: distance(grade) }))
    .sort((a, b) => Number(a.differs.length > 0) - Number(b.differs.length > 0) || a.distance - b.distance)
    .slice(0, count)
    .map(({ grade, differs }) => ({ grade, differs }))
}

/** A composition that cannot be meant: more than a steel holds of an element, or more than all of it, wt%. */
export type CompositionDoubt =
  | { readonly code: 'too-much'; readonly element: Element; readonly value: number; readonly tenth: number | null }
  | { readonly code: 'over-all'; readonly sum: number }

/** The most a hardenable steel holds, wt%: past it a comma slipped, or the figure is in ppm. */
const MOST: Readonly<Partial<Record<Element, number>>> = { C: 4, N: 1.5, Si: 5, Mn: 20, V: 20, Nb: 5, Cu: 5 }
const LEAST_IRON = 40

/** Returns what is wrong with a composition as a whole; empty where nothing is. */
export function compositionDoubts(composition: Readonly<Partial<Record<Element, number>>>): CompositionDoubt[] {
  const entries = Object.entries(composition) as [Element, number][]
  const sum = entries.reduce((total, [, value]) => total + value, 0)
  return [
    ...entries.flatMap(([element, value]): CompositionDoubt[] => {
      const most = MOST[element] ?? 40
      return value > most ? [{ code: 'too-much', element, value, tenth: value / 10 <= most ? value / 10 : null }] : []
    }),
    ...(sum > 100 - LEAST_IRON ? [{ code: 'over-all' as const, sum }] : []),
  ]
}
