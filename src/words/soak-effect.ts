import type { SoakEffect } from '../core/hardness/soak-effect'
import { signedText } from './speaker'

/** Less than this is not worth a word: the tester does not show it, HRC. */
const SHOWS_HRC = 0.2

const hardnessWords = ({ hrcChange, austeniteChange }: SoakEffect): string =>
  Math.abs(hrcChange) < SHOWS_HRC
    ? 'Hardness stays within a few tenths.'
    : `Finished hardness ${signedText(hrcChange)} HRC, retained austenite ${signedText(austeniteChange * 100, 0)} %.`

/** Says the cost to a blade of a soak that was off. */
export const soakCostWords = (mark: string, effect: SoakEffect): string =>
  `${mark} would have soaked ${Math.round(effect.soakMin)} min. ${hardnessWords(effect)}`

/** Says the effect of a soak longer than the steel allows, and what to do. */
export function overSoakWords(marks: string, overMin: number, effect: SoakEffect | null): string {
  const over = `${marks}: ${Math.round(overMin)} min over the longest soak.`
  if (!effect) return `${over} Pull it next.`
  return `${over} ${hardnessWords(effect)} ${
    effect.coarsens ? 'The grain grows at this temperature: pull it now.' : 'The grain still holds. Pull it next.'
  }`
}
