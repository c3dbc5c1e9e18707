import { describe, expect, it } from 'vitest'
import { guessFromLanguage } from './locale'

describe('units and currency of a browser’s language', () => {
  // CLDR measurement systems and ISO 4217, from memory.
  it.each([
    ['en-US', 'imperial', 'USD'],
    ['en', 'imperial', 'USD'],
    ['en-GB', 'metric', 'GBP'],
    ['de', 'metric', 'EUR'],
    ['de-CH', 'metric', 'CHF'],
    ['sv', 'metric', 'SEK'],
    ['fr-CA', 'metric', 'CAD'],
  ])('%s: %s and %s', (language, units, currency) => {
    expect(guessFromLanguage(language)).toEqual({ units, currency })
  })

  it('guesses no currency where the region is not known or the tag makes no sense', () => {
    expect(guessFromLanguage('en-ZW')).toEqual({ units: 'metric', currency: undefined })
    expect(guessFromLanguage('not a tag')).toEqual({ units: 'metric', currency: undefined })
  })
})
