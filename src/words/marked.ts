import type { Grade } from '../data/grades'
import type { Speaker } from './speaker'

/** A temperature in a text of the data, °C: '{1060C}'. */
const TEMPERATURE = /\{(-?\d+)C\}/g

/**
 * A text of the data with its temperatures in the shop's units.
 * @example inUnits('A point from {1050C} up.', speakerOf('imperial')) // 'A point from 1922 °F up.'
 */
export const inUnits = (text: string, say: Speaker): string =>
  text.replace(TEMPERATURE, (_, c: string) => say.t(Number(c)))

/** Why cold is advised for a grade, or not; of a sheet that does not say, where to see it. */
export const coldWhyWords = ({ cold }: Grade, say: Speaker): string =>
  cold.why === '' ? 'Compare on the recipe map: what it adds is computed there.' : inUnits(cold.why, say)
