import { readdirSync, readFileSync, statSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'

/** Wordings that were riddles, each with what is said now: they do not come back. */
const REPLACED: readonly (readonly [old: RegExp, now: string])[] = [
  [/[Ss]oft austenite/, 'retained austenite'],
  [/% robbe[d]/, 'lost to carbides'],
  [/Entr[y] compared/, 'Ways to load'],
  [/See[s] the chamber/, 'Exposed to the heat'],
  [/The blade should see/, 'Blade temperature'],
  [/prove[n] the least/, 'no shorter layout exists'],
  [/[Hh]and-warm/, 'cool enough to hold'],
  [/Writ[e] it in/, 'Add this temper'],
  [/Knock[s], 0/, 'Toughness (0 to 10)'],
  [/has a cause of its own/, 'Nothing unusual'],
  [/good to, one sigma/, 'accurate to (one standard deviation)'],
  [/Leve[l] first there/, 'Reached after'],
]

const ROOT = fileURLToPath(new URL('..', import.meta.url))

const sources = (folder: string): string[] =>
  readdirSync(folder).flatMap(name => {
    const path = `${folder}/${name}`
    if (statSync(path).isDirectory()) return sources(path)
    return /\.(ts|tsx|astro)$/.test(name) && !/\.test\./.test(name) ? [path] : []
  })

describe('wordings that were replaced', () => {
  const texts = sources(ROOT).map(path => [path.slice(ROOT.length), readFileSync(path, 'utf8')] as const)

  it.each(REPLACED)('%s is said otherwise: %s', old => {
    expect(texts.filter(([, text]) => old.test(text)).map(([path]) => path)).toEqual([])
  })
})
