import * as z from 'zod/mini'
import { GRADES } from '../../../data/grades'
import { ok } from '../../codes/result'
import { find, logIndexOf, namedIndexOf, type SearchIndex } from '../../logbook/find'
import type { Batch } from '../../shop/batch'
import { id, textUpTo } from '../../shop/fields'
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
    recipes: z.readonly(
      z.array(z.object({ id, name: z.string(), gradeName: z.string() })).check(z.maxLength(MOST_NAMED)),
    ),
    ovens: z.readonly(z.array(z.object({ id, name: z.string() })).check(z.maxLength(MOST_NAMED))),
    own: z.readonly(
      z
        .array(z.object({ id, name: z.string(), alsoNamed: z.readonly(z.array(z.string())) }))
        .check(z.maxLength(MOST_NAMED)),
    ),
  }),
  response: list(
    z.discriminatedUnion('kind', [
      z.extend(named, { kind: z.literal('batch') }),
      z.object({
        kind: z.literal('blade'),
        id: z.string(),
        mark: z.string(),
        serial: z.string(),
        batchName: z.string(),
        gradeName: z.string(),
      }),
      z.extend(named, { kind: z.literal('steel'), alsoNamed: list(z.string()) }),
      z.extend(named, { kind: z.literal('recipe') }),
      z.extend(named, { kind: z.literal('oven') }),
    ]),
  ),
  answer: ({ text, recipes, ovens, own }, { log }) =>
    ok(find(text, [...indexOf(log.batches), ...namedIndexOf({ grades: [...GRADES, ...own], recipes, ovens })])),
})
