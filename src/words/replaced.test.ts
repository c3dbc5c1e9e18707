import { readdirSync, readFileSync, statSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'

/** Wordings that were riddles, each with what is said now: they do not come back. */
const REPLACED: readonly (readonly [old: RegExp, now: string])[] = [
  [/[Ss]oft austenite/, 'retained austenite'],
  [/% robbe[d]/, 'lost to carbides'],
  [/Entr[y] compared/, 'Ways to load'],
  [/See[s] the chamber|Expose[d] to the heat/, 'Heated surface'],
  [/The blade should see/, 'Blade temperature'],
  [/prove[n] the least/, 'no shorter layout exists'],
  [/[Hh]and-warm/, 'cool enough to hold'],
  [/Writ[e] it in/, 'Add this temper'],
  [/Knock[s], 0/, 'Toughness (0 to 10)'],
  [/has a cause of its own/, 'Nothing unusual'],
  [/good to, one sigma/, 'accurate to (one standard deviation)'],
  [/Leve[l] first there/, 'Reached after'],
  [/(\d|\}) an hour|degrees an hour|'a kg'|Price of a (kg|litre|metre)/, 'per hour, per kg'],
  [/Not sai[d] yet/, 'Not set: typical values are used'],
  [/This i[s] my shop/, 'Save and continue'],
  [/Ask i[t] to keep/, 'Protect this data from being cleared'],
  [/the magne[t] lets go/, 'loses its magnetism'],
  [/times a[s] fast/, 'speed 600×'],
  [/Press it[s] figure/, 'Press its number or letter'],
  [/What befel[l] it/, 'What happened'],
  [/Act b[y] act|Plan i[t] so|Load i[t] exactly/, 'Step by step, Apply, Load at'],
  [/Draw th[e] halves|drawn b[y] lot/, 'Split the batch, at random'],
  [/Hottest th[e] edge may get/, 'Maximum edge temperature while grinding'],
  [/no orde[r] is sooner/, 'fastest order, proven'],
  [/though[t] best now/, 'best estimate so far'],
  [/'Retir[e]'/, 'Archive'],
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
