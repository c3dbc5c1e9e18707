import { type Composition, ELEMENTS, type Element } from '../../../data/grades'

/** A composition as it was read from a text, wt% as written, by element. */
export interface CompositionText {
  readonly nominal: Readonly<Partial<Record<Element, string>>>
  readonly least: Readonly<Partial<Record<Element, string>>>
  readonly most: Readonly<Partial<Record<Element, string>>>
  /** Words and symbols that were not understood, as they stood. */
  readonly unread: readonly string[]
}

const NAMES: Readonly<Record<string, Element>> = {
  carbon: 'C',
  nitrogen: 'N',
  silicon: 'Si',
  manganese: 'Mn',
  chromium: 'Cr',
  molybdenum: 'Mo',
  tungsten: 'W',
  vanadium: 'V',
  nickel: 'Ni',
  cobalt: 'Co',
  niobium: 'Nb',
  copper: 'Cu',
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`
const VALUE = String.raw`(?<limit>max\.?|min\.?|[<>≤≥]=?)?\s*(?<from>${NUMBER})(?:\s*(?:-|–|−|to|\.\.\.?|…)\s*(?<to>${NUMBER}))?\s*%?(?:\s*(?<after>max|min)\b\.?)?`
const WORD = '[A-Za-z]+'

const elementOf = (word: string): Element | undefined =>
  ELEMENTS.find(element => element === word) ?? NAMES[word.toLowerCase()]

interface Found {
  readonly element: Element
  readonly value: RegExpMatchArray
}

type Read = { -readonly [K in 'nominal' | 'least' | 'most']: Partial<Record<Element, string>> } & { unread: string[] }

function put(read: Read, { element, value }: Found) {
  const { limit, from = '', to, after } = value.groups ?? {}
  const word = (limit ?? after ?? '').toLowerCase()
  if (to !== undefined) {
    read.least[element] = from
    read.most[element] = to
  } else if (/max|<|≤/.test(word)) read.most[element] = from
  else if (/min|>|≥/.test(word)) read.least[element] = from
  else read.nominal[element] = from
}

/** Words beside the numbers of a composition that carry no information. */
const FILLING = new Set([
  'fe',
  'bal',
  'balance',
  'rest',
  'remainder',
  'and',
  'wt',
  'mass',
  'weight',
  'percent',
  'max',
  'min',
  'to',
  'typ',
  'typical',
  'nominal',
  'p',
  's',
])

/**
 * Reads a composition as it stands in a sheet: 'C 1.05 Cr 14 Mo 4', '1.05C-14Cr-4Mo', 'Carbon: 0.95 to 1.2 %', or a table with the
 * elements over their values. Decimal comma or point; '0.95–1.20' gives least and most, 'max 0.5' the most. What is not understood
 * is named, nothing is guessed.
 */
export function parseCompositionText(text: string): CompositionText {
  return tableOf(text) ?? listed(text)
}

const empty = (): Read => ({ nominal: {}, least: {}, most: {}, unread: [] })

/** Pairs of element and value in either order, as the first of them stands. */
function listed(text: string): CompositionText {
  const read = empty()
  const first = new RegExp(`(?<word>${WORD})|(?<number>${NUMBER})`).exec(text)
  const valueFirst = first?.groups?.number !== undefined
  const pair = valueFirst
    ? new RegExp(String.raw`${VALUE}\s*(?<word>${WORD})|(?<alone>${WORD})`, 'g')
    : new RegExp(String.raw`(?<word>${WORD})\s*[:=]?\s*${VALUE}|(?<alone>${WORD})`, 'g')
  for (const value of text.matchAll(pair)) {
    const { word, alone } = value.groups ?? {}
    const element = word === undefined ? undefined : elementOf(word)
    if (element) put(read, { element, value })
    else if (!FILLING.has((word ?? alone ?? '').toLowerCase())) read.unread.push(value[0].trim())
  }
  return read
}

const cells = (line: string) =>
  line
    .split(/\t|;|\||\s{1,}|,(?=\s|[A-Za-z])/)
    .map(cell => cell.trim())
    .filter(Boolean)

/** A line of elements over lines of values; null where the text is none. */
function tableOf(text: string): CompositionText | null {
  const lines = text.split(/\r?\n/).filter(line => line.trim() !== '')
  const at = lines.findIndex(line => !/\d/.test(line) && cells(line).filter(elementOf).length >= 2)
  const heads = lines[at] === undefined ? [] : cells(lines[at])
  const elements = heads.map(elementOf)
  const rows = lines.slice(at + 1).filter(line => /\d/.test(line))
  if (at < 0 || rows.length === 0) return null
  const read = empty()
  read.unread.push(...heads.filter(head => !elementOf(head) && !FILLING.has(head.toLowerCase()) && /[a-z]/i.test(head)))
  for (const row of rows) {
    const values = cells(row)
    const label = /^[A-Za-z.]+$/.test(values[0] ?? '') ? values.shift()?.toLowerCase() : undefined
    const own = elements[0] === undefined && label !== undefined ? elements.slice(1) : elements
    values.forEach((cell, i) => {
      const element = own[i]
      const value = new RegExp(`^${VALUE}$`).exec(cell)
      if (!element || !value) return
      const column =
        label === undefined
          ? null
          : /^(min|least|low)/.test(label)
            ? 'least'
            : /^(max|most|high)/.test(label)
              ? 'most'
              : null
      if (column) read[column][element] = value.groups?.from ?? ''
      else put(read, { element, value })
    })
  }
  return read
}

/** Returns the composition (wt%) that a text names: nominal values, else the middle of a range; null without carbon and another element. */
export function compositionIn(text: string): Composition | null {
  const { nominal, least, most } = parseCompositionText(text)
  const number = (typed: string | undefined) => (typed === undefined ? undefined : Number(typed.replace(',', '.')))
  const found: Partial<Record<Element, number>> = {}
  for (const element of ELEMENTS) {
    const [from, to] = [number(least[element]), number(most[element])]
    // What has only a most is a trace of the melt: half of it.
    const value = number(nominal[element]) ?? (to === undefined ? from : ((from ?? 0) + to) / 2)
    if (value !== undefined && Number.isFinite(value)) found[element] = Math.round(value * 1000) / 1000
  }
  const { C, ...others } = found
  return C !== undefined && Object.keys(others).length > 0 ? { ...others, C } : null
}
