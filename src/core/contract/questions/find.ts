import { z } from 'zod'
import { GRADES } from '../../../data/grades'
import { ok } from '../../codes/result'
import { find, logIndexOf, namedIndexOf, type SearchIndex } from '../../job/find'
import type { Batch } from '../../shop/batch'
import { id, textUpTo } from '../../shop/bounds'
import { question } from '../question'
import { list } from '../shapes'

/** Batches and blades made ready once for each log, not for each letter that is typed. */
const indices = new WeakMap<readonly Batch[], SearchIndex>()

function indexOf(batches: readonly Batch[]): SearchIndex {
  const known = indices.get(batches) ?? logIndexOf(batches)
  indices.set(batches, known)
  return known
}

const named = z.object({ id: z.string(), name: z.string() })
const MOST_NAMED = 2000

export const findAnything = question({
  summary: 'What is called as a text says, or has all its words noted of it: batches, blades, steels, recipes, ovens',
  request: z.object({
    text: textUpTo('note'),
    recipes: z
      .array(z.object({ id, name: z.string(), gradeName: z.string() }))
      .max(MOST_NAMED)
      .readonly(),
    ovens: z
      .array(z.object({ id, name: z.string() }))
      .max(MOST_NAMED)
      .readonly(),
    own: z
      .array(z.object({ id, name: z.string(), alsoNamed: z.array(z.string()).readonly() }))
      .max(MOST_NAMED)
      .readonly(),
  }),
  response: list(
    z.discriminatedUnion('kind', [
      named.extend({ kind: z.literal('batch') }),
      z.object({
        kind: z.literal('blade'),
        id: z.string(),
        mark: z.string(),
        serial: z.string(),
        batchName: z.string(),
        gradeName: z.string(),
      }),
      named.extend({ kind: z.literal('steel'), alsoNamed: list(z.string()) }),
      named.extend({ kind: z.literal('recipe') }),
      named.extend({ kind: z.literal('oven') }),
    ]),
  ),
  answer: ({ text, recipes, ovens, own }, { log }) =>
    ok(find(text, [...indexOf(log.batches), ...namedIndexOf({ grades: [...GRADES, ...own], recipes, ovens })])),
})
