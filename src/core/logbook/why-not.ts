import type { Grade } from '../../data/grades'
import type { TargetHrc } from '../rockwell/target'

/** Question typed in Find: why a hardness is not reached, and the grade it names, if it names one. */
export interface WhyNotAsked {
  readonly hrc: number
  readonly grade: Grade | null
}

const ASKED = /^\s*why(?:\s+not)?\s+(\d\d(?:[.,]\d)?)\s*(?:hrc)?\s*\??\s*(.*)$/i
const HALF_HRC = 0.5

const plain = (text: string) => text.toLowerCase().replaceAll(/[^a-z0-9]/g, '')

/**
 * Returns the hardness and grade of a text such as "why not 61" or "why not 61 440C"; null for any other text.
 * @example whyNotIn('why not 61,5', [])?.hrc // 61.5
 */
export function whyNotIn(text: string, grades: readonly Grade[]): WhyNotAsked | null {
  const [, hrc, name = ''] = ASKED.exec(text) ?? []
  if (hrc === undefined) return null
  const wanted = plain(name)
  const named = (fits: (own: string) => boolean) =>
    grades.find(grade => [grade.name, ...grade.alsoNamed].some(own => fits(plain(own))))
  const grade = wanted === '' ? undefined : (named(own => own === wanted) ?? named(own => own.includes(wanted)))
  return { hrc: Number(hrc.replace(',', '.')), grade: grade ?? null }
}

/** Returns the target about a single hardness. */
export const targetAbout = (hrc: number): TargetHrc => ({ min: hrc - HALF_HRC, max: hrc + HALF_HRC })
