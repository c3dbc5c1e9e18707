import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

/** A docstring begins with a verb or with the noun of what is returned, never with a question word. */
const DOCSTRING = /\/\*\*\s*(?:\n\s*\*\s*)?(What|Whether or no|How it comes|That which|The same of)\b.*/g

const startsIn = (source: string): string[] => [...source.matchAll(DOCSTRING)].map(([text]) => text)

const sources = (): string[] =>
  execFileSync('git', ['ls-files', 'src', 'e2e', 'scripts'], { encoding: 'utf8' })
    .split('\n')
    .filter(name => /\.(ts|tsx|mjs|mts|astro)$/.test(name) && name !== 'src/testing/language.test.ts')

describe('the language of the code', () => {
  it('has docstrings that begin with a verb or a noun', () => {
    const files = sources()
    expect(files.length).toBeGreaterThan(500)
    expect(files.flatMap(name => startsIn(readFileSync(name, 'utf8')).map(text => `${name}: ${text}`))).toEqual([])
  })

  it('would refuse one that does not', () => {
    expect(startsIn('/** What came of it. */\nconst a = 1')).toHaveLength(1)
    expect(startsIn('/**\n * What came of it.\n */\nconst a = 1')).toHaveLength(1)
    expect(startsIn('/** Returns what came of it. */')).toEqual([])
  })
})

/** Coined words that stood on screens, for which the trade has its own. */
const COINED =
  /Not said yet|lets go near|Press its figure|What befell|Vice late|root mean square|after the GUM|no order is sooner|Act by act|Plan it so|Draw the halves|thought best now|Order by lot|prices have no currency|Ask it to keep the log|Exposed to the heat|loaded equalised|only the model’s word|'a (kg|m²|blade)'/

describe('the language of the screens', () => {
  it('has none of the coined words that were replaced', () => {
    const shown = sources().filter(name => /^src\/(words|islands|ui)\//.test(name) && !name.includes('.test.'))
    expect(shown.filter(name => COINED.test(readFileSync(name, 'utf8')))).toEqual([])
  })

  it('would refuse one', () => {
    expect(COINED.test("['coatPerM2', 'Anti-scale coat', 'a m²']")).toBe(true)
    expect(COINED.test('per m²')).toBe(false)
  })
})
