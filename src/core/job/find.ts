import type { Grade } from '../../data/grades'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Recipe } from '../shop/recipe'
import { bladesOf } from './tray'

/** Something that was found by what it is called, or by what was noted of it. */
export type Found =
  | { readonly kind: 'batch'; readonly id: string; readonly name: string }
  | {
      readonly kind: 'blade'
      readonly id: string
      readonly mark: string
      readonly serial: string
      readonly batchName: string
      readonly gradeName: string
    }
  | { readonly kind: 'steel'; readonly id: string; readonly name: string; readonly alsoNamed: readonly string[] }
  | { readonly kind: 'recipe'; readonly id: string; readonly name: string }
  | { readonly kind: 'oven'; readonly id: string; readonly name: string }

/** Where is looked. */
export interface Searched {
  readonly batches: readonly Batch[]
  readonly grades: readonly Grade[]
  readonly recipes: readonly Recipe[]
  readonly ovens: readonly Oven[]
}

interface Entry {
  readonly found: Found
  /** What it is called, most telling first. */
  readonly names: readonly string[]
  /** What else was written of it. */
  readonly notes: string
}

/** Everything that can be found, its texts made plain once for all that is typed. */
export type SearchIndex = readonly Entry[]

/** Small letters without accents, so that what is typed in haste is found. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

function entriesOf({ batches, grades, recipes, ovens }: Searched): Entry[] {
  return [
    ...batches.map(batch => ({
      found: { kind: 'batch', id: batch.id, name: batch.name } as const,
      names: [batch.name],
      notes: [
        batch.note,
        ...batch.groups.flatMap(group => [
          group.lot ?? '',
          ...group.decisions.map(decision => (decision.by === 'option' ? decision.note : decision.why)),
        ]),
      ].join(' '),
    })),
    ...batches.flatMap(batch =>
      bladesOf(batch).map(({ id, mark, group, record }) => ({
        found: {
          kind: 'blade',
          id,
          mark,
          serial: record.serial,
          batchName: batch.name,
          gradeName: group.gradeName,
        } as const,
        names: [record.serial, mark],
        notes: `${batch.name} ${group.gradeName}`,
      })),
    ),
    ...grades.map(({ id, name, alsoNamed }) => ({
      found: { kind: 'steel', id, name, alsoNamed } as const,
      names: [name, ...alsoNamed],
      notes: '',
    })),
    ...recipes.map(({ id, name, gradeName }) => ({
      found: { kind: 'recipe', id, name } as const,
      names: [name],
      notes: gradeName,
    })),
    ...ovens.map(({ id, name }) => ({ found: { kind: 'oven', id, name } as const, names: [name], notes: '' })),
  ]
}

/** Makes what is searched ready to be searched. */
export const searchIndexOf = (searched: Searched): SearchIndex =>
  entriesOf(searched).map(({ found, names, notes }) => ({ found, names: names.map(plain), notes: plain(notes) }))

/** A whole name counts most, then its beginning, then the beginning of a word of it, then any part; a note least. */
function scoreOf({ names, notes }: Entry, wanted: string, words: readonly string[]): number {
  if (names.includes(wanted)) return 5
  if (names.some(name => name.startsWith(wanted))) return 4
  const own = names.join(' ')
  const begins = (text: string, word: string) => new RegExp(`(^|[^\\p{L}\\p{N}])${escaped(word)}`, 'u').test(text)
  if (words.every(word => begins(own, word))) return 3
  const all = `${own} ${notes}`
  if (words.every(word => begins(all, word))) return 2
  return words.every(word => all.includes(word)) ? 1 : 0
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')

/**
 * What is called as the text says, or has all its words noted of it, best first; at most `most`. Empty for an empty text.
 * Of equals the order of what is searched stays: newest batch first.
 */
export function find(text: string, index: SearchIndex, most = 24): Found[] {
  const wanted = plain(text.trim())
  if (wanted === '') return []
  const words = wanted.split(/\s+/)
  return index
    .map(entry => ({ found: entry.found, score: scoreOf(entry, wanted, words) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ found }) => found)
}
