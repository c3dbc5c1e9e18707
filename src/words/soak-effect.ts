import type { SoakEffect } from '../core/job/soak-effect'
import { signedText } from './speaker'

/** Less than this is not worth a word: the tester does not show it, HRC. */
const SHOWS_HRC = 0.2

/** What a soak longer than the steel should have does to a blade, and what to do. */
export function overSoakWords(marks: string, overMin: number, effect: SoakEffect | null): string {
  const over = `${marks}: ${Math.round(overMin)} min over the longest soak.`
  if (!effect) return `${over} Pull it next.`
  const hardness =
    Math.abs(effect.hrcChange) < SHOWS_HRC
      ? 'Hardness stays within a few tenths.'
      : `Finished hardness ${signedText(effect.hrcChange)} HRC, retained austenite ${signedText(effect.austeniteChange * 100, 0)} %.`
  return `${over} ${hardness} ${
    effect.coarsens ? 'The grain grows at this temperature: pull it now.' : 'The grain still holds. Pull it next.'
  }`
}
