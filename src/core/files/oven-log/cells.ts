/** A number as a logger writes it: decimal point or comma, thousands left out, a unit behind it. Null: not a number. */
export function readNumberCell(cell: string, decimal: '.' | ','): number | null {
  const text = cell
    .trim()
    .replace(/\s*(°\s*)?(deg)?\s*[CFK]?$/i, '')
    .replace(/\u2212/g, '-')
  if (text === '') return null
  const plain = decimal === ',' ? text.replace(/\./g, '').replace(',', '.') : text.replace(/,(?=\d{3}\b)/g, '')
  return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(plain) ? Number(plain) : null
}

/** The unit written behind a value, such as '1065 °C'; null where there is none. */
export function unitOfCell(cell: string): 'C' | 'F' | null {
  const match = /\d\s*(?:°\s*|deg\s*)?([CF])\s*$/i.exec(cell.trim())
  return match ? (match[1]?.toUpperCase() as 'C' | 'F') : null
}

const HEADER_UNIT = /(°|deg|\(|\[|_|\s)\s*([CF])\b|fahrenheit|celsius/i

/** The unit a column's heading names; null where it names none. */
export function unitOfHeading(heading: string): 'C' | 'F' | null {
  if (/fahrenheit/i.test(heading)) return 'F'
  if (/celsius/i.test(heading)) return 'C'
  const match = HEADER_UNIT.exec(heading)
  return match?.[2] ? (match[2].toUpperCase() as 'C' | 'F') : null
}

/** Matches what loggers write for a broken thermocouple. */
const BREAK_TEXT =
  /^(open|o\.?c\.?|err(or)?|fault|break|burn\s?out|nan|n\/?a|inf|-+|\*+|over|ovr|ur|or|hhhh|llll|-{2,})$/i

/** Whether a cell says that nothing was measured, as loggers write it. */
export const isBreakText = (cell: string): boolean => BREAK_TEXT.test(cell.trim())

/** Returns whether a value cannot come from a thermocouple of an oven: type K ends at 1372 °C (IEC 60584-1, from memory), and open circuits read far off. */
export const isBreakValue = (celsius: number): boolean => celsius > 1372 || celsius < -60 || !Number.isFinite(celsius)
