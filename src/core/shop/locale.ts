import { FAHRENHEIT_REGIONS, REGION_CURRENCIES } from '../../data/regions'
import type { System } from '../units/quantity'

/** Suggestions from a browser's language: units, and the currency of its region if known. */
export interface LocaleGuess {
  readonly units: System
  readonly currency: string | undefined
}

/** From a language tag of BCP 47, such as 'en-US'; a language without a region gets that of most of its speakers. */
export function guessFromLanguage(language: string): LocaleGuess {
  const region = regionOf(language)
  return {
    units: region !== undefined && FAHRENHEIT_REGIONS.has(region) ? 'imperial' : 'metric',
    currency: region === undefined ? undefined : REGION_CURRENCIES[region],
  }
}

function regionOf(language: string): string | undefined {
  try {
    return new Intl.Locale(language).maximize().region
  } catch {
    return undefined
  }
}
