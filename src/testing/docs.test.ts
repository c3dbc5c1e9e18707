import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { encoding: 'utf8' })
  .split('\n')
  .filter(Boolean)

/** Files that a text names in backticks, by the end of their path. */
const namedIn = (text: string): string[] =>
  [...text.matchAll(/`([\w./-]+\.(?:ts|tsx|mjs|json|astro))`/g)].flatMap(([, name]) => name ?? [])

/** Files of a maker, or of a machine, that are not in this repository. */
const NOT_OURS = /^(tawny-ember|openapi|workshop-schema)/

const isThere = (name: string): boolean => files.some(file => file === name || file.endsWith(`/${name}`))

describe('the documents', () => {
  it.each(files.filter(name => /^(docs\/.*|README)\.md$/.test(name)))('%s names only files that are there', name => {
    const named = namedIn(readFileSync(name, 'utf8')).filter(file => !NOT_OURS.test(file))
    expect(named.filter(file => !isThere(file))).toEqual([])
  })

  it('would be caught naming one that is not', () => {
    expect(namedIn('held by `core/never/was.test.ts`').filter(file => !isThere(file))).toEqual([
      'core/never/was.test.ts',
    ])
  })
})
