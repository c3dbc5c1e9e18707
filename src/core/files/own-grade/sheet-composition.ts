import { type Composition, type CompositionRange, ELEMENTS, type Element } from '../../../data/grades'
import type { ProblemCode, ProblemCodes } from '../../codes/problem'

/** Says what is wrong with a sheet, beside the field it is about. */
export type SaySheet = <C extends ProblemCode>(path: string, code: C, params: ProblemCodes[C]) => void

/** Shares of elements as they are typed, wt%: nominal, and the mill's limits. */
export interface TypedShares {
  readonly nominal: Readonly<Partial<Record<Element, string>>>
  readonly least: Readonly<Partial<Record<Element, string>>>
  readonly most: Readonly<Partial<Record<Element, string>>>
}

/** More than the whole, wt%. */
const WHOLE = 100

/** A number as it is typed, decimal comma or point, with or without a %; null where nothing was typed. */
export const numberIn = (text: string | undefined): number | null => {
  const clean = (text ?? '').trim().replace('−', '-').replace(',', '.').replace(/\s*%$/, '')
  return clean === '' ? null : Number(clean)
}

/** One element's typed share in a column, wt%; null where nothing, or nothing usable, was typed. */
function readShare(
  shares: TypedShares,
  column: 'nominal' | 'least' | 'most',
  element: Element,
  bad: SaySheet,
): number | null {
  const text = shares[column][element]
  const value = numberIn(text)
  if (value === null) return null
  const path = `${column}.${element}`
  if (!Number.isFinite(value)) bad(path, 'sheet-not-a-number', { text: text ?? '' })
  else if (value < 0) bad(path, 'sheet-negative', { element })
  else return value
  return null
}

/** Returns the share of an element if only limits were typed: their middle, or the minimum alone. */
const middleOf = (least: number | null, most: number | null): number | null =>
  most === null ? least : ((least ?? 0) + most) / 2

interface Share {
  readonly value: number
  readonly least: number | null
  readonly most: number | null
}

/** Says where a share and its limits are at odds. */
function checkShare(element: Element, { value, least, most }: Share, bad: SaySheet) {
  if (least !== null && most !== null && least > most) bad(`least.${element}`, 'sheet-least-above-most', { element })
  if (least !== null && value < least) bad(`nominal.${element}`, 'sheet-below-least', { element, value, least })
  if (most !== null && value > most) bad(`nominal.${element}`, 'sheet-above-most', { element, value, most })
}

/** Reads typed shares into a composition and its range; null where they make none. What is wrong is said beside its field, all of it. */
export function readComposition(
  shares: TypedShares,
  say: SaySheet,
): { nominal: Composition | null; range: CompositionRange } {
  const nominal: Partial<Record<Element, number>> = {}
  const range: Partial<Record<Element, readonly [number, number]>> = {}
  let fine = true
  const bad: SaySheet = (path, code, params) => {
    say(path, code, params)
    fine = false
  }
  for (const element of ELEMENTS) {
    const [typed, least, most] = (['nominal', 'least', 'most'] as const).map(column =>
      readShare(shares, column, element, bad),
    ) as [number | null, number | null, number | null]
    const value = typed ?? middleOf(least, most)
    if (value === null) continue
    checkShare(element, { value, least, most }, bad)
    if (value > 0) nominal[element] = Math.round(value * 1000) / 1000
    if (least !== null || most !== null) range[element] = [least ?? 0, most ?? value]
  }
  const sum = Object.values(nominal).reduce((total, value) => total + value, 0)
  if (sum > WHOLE) bad('nominal.C', 'sheet-over-whole', { sum })
  else if (sum > 60) bad('nominal.C', 'sheet-hardly-iron', { sum })
  const { C } = nominal
  if (C === undefined) bad('nominal.C', 'sheet-no-carbon', {})
  else if (C < 0.05 || C > 3.5) bad('nominal.C', 'sheet-carbon-outside', { value: C, least: 0.05, most: 3.5 })
  return { nominal: fine && C !== undefined ? { ...nominal, C } : null, range }
}
