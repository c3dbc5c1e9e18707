import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import * as z from 'zod/mini'
import { nextBlock } from '../../core/shop/serial'
import type { SerialBlock } from '../../core/shop/serial-block'
import { writeWhole } from './files'

/** The last number that was given to a screen, by the prefix of the serials. */
const givenSchema = z.record(z.string(), z.int())

/** Gives each screen serials that no other gives, and keeps in the folder how far it is: never the same twice. */
export function createSerials(folder: string) {
  const file = join(folder, 'serials.json')
  let given = existsSync(file) ? givenSchema.parse(JSON.parse(readFileSync(file, 'utf8'))) : {}

  return {
    /** Returns the next block of a year’s serials. Throws where the disk refuses. */
    next: (pattern: string, year: number, used: Iterable<string>): SerialBlock => {
      const { prefix } = nextBlock(pattern, year, [], 0)
      const block = nextBlock(pattern, year, used, given[prefix] ?? 0)
      const next = { ...given, [prefix]: block.to }
      writeWhole(file, JSON.stringify(next))
      given = next
      return block
    },
  }
}
