import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './bootstrap.mjs'

/** Puts a text between `<!-- mark -->` and `<!-- /mark -->` of a file of this repository. */
export function writeBetween(path, mark, text) {
  const [FROM, TO] = [`<!-- ${mark} -->`, `<!-- /${mark} -->`]
  const file = join(ROOT, path)
  const [before, rest] = readFileSync(file, 'utf8').split(FROM)
  const [, after] = (rest ?? '').split(TO)
  if (after === undefined) throw new Error(`${path} has no ${FROM} … ${TO}`)
  writeFileSync(file, `${before}${FROM}\n\n${text}\n\n${TO}${after}`)
}
