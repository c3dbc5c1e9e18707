import type { Grade } from '../../data/grades'
import { bladesOf } from '../batch/tray'
import { compareInstants } from '../numeric/instants'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Recipe } from '../shop/recipe'

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

/** Named things besides batches and blades. */
export interface Named {
  readonly grades: readonly Pick<Grade, 'id' | 'name' | 'alsoNamed'>[]
  readonly recipes: readonly Pick<Recipe, 'id' | 'name' | 'gradeName'>[]
  readonly ovens: readonly Pick<Oven, 'id' | 'name'>[]
}

interface Entry {
  readonly found: Found
  /** Names it is found by, best first. */
  readonly names: readonly string[]
  /** Further notes on it. */
  readonly notes: string
}

/** Everything that can be found, its texts made plain once for all that is typed. */
export type SearchIndex = readonly Entry[]

/** Small letters without accents, so that what is typed in haste is found. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

const ready = (entries: readonly Entry[]): SearchIndex =>
  entries.map(({ found, names, notes }) => ({ found, names: names.map(plain), notes: plain(notes) }))

/** Makes batches and their blades ready to be searched, those changed last first. */
export function logIndexOf(log: readonly Batch[]): SearchIndex {
  const batches = [...log].sort((a, b) => compareInstants(b.updatedAt, a.updatedAt))
  return ready([
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
  ])
}

/** Makes what else has a name ready to be searched. */
export const namedIndexOf = ({ grades, recipes, ovens }: Named): SearchIndex =>
  ready([
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
  ])

interface Word {
  readonly text: string
  /** Where a word of a text begins with it. */
  readonly begins: RegExp
}

/** A whole name counts most, then its beginning, then the beginning of a word of it, then any part; a note least. */
function scoreOf({ names, notes }: Entry, wanted: string, words: readonly Word[]): number {
  if (names.includes(wanted)) return 5
  if (names.some(name => name.startsWith(wanted))) return 4
  const own = names.join(' ')
  if (words.every(({ begins }) => begins.test(own))) return 3
  const all = `${own} ${notes}`
  if (!words.every(({ text }) => all.includes(text))) return 0
  return words.every(({ begins }) => begins.test(all)) ? 2 : 1
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')

/**
 * Returns the entries whose name or notes match a text, best first; at most `most`. Empty for an empty text.
 * Of equals the order of what is searched stays: newest batch first.
 */
export function find(text: string, index: SearchIndex, most = 24): Found[] {
  const wanted = plain(text.trim())
  if (wanted === '') return []
  const words = wanted
    .split(/\s+/)
    .map((word): Word => ({ text: word, begins: new RegExp(`(^|[^\\p{L}\\p{N}])${escaped(word)}`, 'u') }))
  return index
    .map(entry => ({ found: entry.found, score: scoreOf(entry, wanted, words) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ found }) => found)
}
