import { formatDifference, formatNumber, type System } from './quantity'

/** A number as prose writes it: 1,100 or −75 or 0.8, or a range of two; with its unit; where the other scale does not follow already. */
const QUANTITY =
  /([−-]?\d[\d,]*(?:\.\d+)?)(?:( to )([−-]?\d[\d,]*(?:\.\d+)?))? (°C|mm)(?![\w²³])(?! \(?[−-]?[\d,/.]+ (?:°F|in))/g

/** A difference of temperatures, which the core gives in kelvin. */
const DIFFERENCE = /(\d+(?:\.\d+)?) K(?![\w/])/g

const read = (text: string): number => Number(text.replace(/,/g, '').replace('−', '-'))

/**
 * A sentence of the core, which speaks of °C, of differences in K and of mm, as a shop reads it. A quantity that stands in both
 * already is left as it is.
 * @example inShopUnits('Up to 1,100 °C within 20 mm.', 'imperial') // 'Up to 2012 °F within 0.787 in.'
 */
export function inShopUnits(text: string, system: System): string {
  const differences = text.replace(DIFFERENCE, (_, k: string) => formatDifference(Number(k), system).replace('+', ''))
  if (system === 'metric') return differences
  return differences.replace(
    QUANTITY,
    (_, first: string, to: string | undefined, second: string | undefined, unit: string) => {
      const dimension = unit === 'mm' ? 'length' : 'temperature'
      const shown = (number: string) => formatNumber(read(number), dimension, system)
      return `${shown(first)}${to === undefined ? '' : `${to}${shown(second ?? '')}`} ${unit === 'mm' ? 'in' : '°F'}`
    },
  )
}
