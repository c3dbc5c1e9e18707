import type { BladePlace, BoardRow } from '../core/run/board'
import type { RunState } from '../core/run/run-state'
import type { Batch } from '../core/shop/batch'
import type { StepKind } from '../core/shop/run'
import type { Incident } from '../data/incidents'
import { BEGINS_ANEW_BELOW_K } from '../data/soak'
import { clockText } from './clock-text'
import { listOf, marksOfBlades } from './lists'
import type { Speaker } from './speaker'

export const PLACE_WORDS: Readonly<Record<BladePlace, string>> = {
  bench: 'on the bench',
  oven: 'oven, heating',
  soaking: 'oven, soaking',
  due: 'oven, soaked',
  plates: 'in the plates',
  oil: 'in the oil',
  rack: 'on the rack',
  cold: 'in the cold',
  temper: 'in the temper',
  gone: 'out of the run',
}

const NEXT: Partial<Record<StepKind, string>> = {
  load: 'goes in',
  pull: 'pull',
  unclamp: 'out of the plates',
  inspect: 'is looked at',
  'cold-in': 'goes into the cold',
  'cold-out': 'comes out of the cold',
  'temper-in': 'goes into the temper',
  'temper-out': 'comes out of the temper',
}

/** Says the next step of a blade, and when. */
export function nextWords({ next, place }: BoardRow): string {
  if (place === 'gone') return 'set aside'
  if (!next) return 'done'
  const name = NEXT[next.kind] ?? ''
  if (next.inS === null) return name
  return next.inS > 0 ? `${name} in ${clockText(next.inS)}` : `${name} now`
}

/** Says the soak of a blade, with its excess over what its steel allows. */
export const soakedWords = ({ soakedS, overS }: Pick<BoardRow, 'soakedS' | 'overS'>): string =>
  soakedS === null ? '' : `${clockText(soakedS)}${overS > 0 ? `, ${clockText(overS)} over` : ''}`

/** The soak a blade is planned for, and the longest its steel should have. */
export const windowWords = ({ soakMin, longestMin }: BoardRow['blade']): string =>
  longestMin === null ? `${Math.round(soakMin)} min` : `${Math.round(soakMin)} to ${Math.round(longestMin)} min`

/** Where blades are counted: what went in must have come out, or be explained by name. Nothing where nothing is counted. */
export function countWords(
  { step, gone, confirmed }: Pick<RunState, 'step' | 'gone' | 'confirmed'>,
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
): string {
  if (step?.kind !== 'inspect' && step?.kind !== 'cold-out' && step?.kind !== 'temper-out') return ''
  const before = confirmed.findLast(one => IN_BEFORE[step.kind]?.includes(one.step.kind))?.step.bladeIds ?? []
  const loaded = confirmed.filter(one => one.step.kind === 'load').flatMap(one => one.step.bladeIds)
  const went = step.kind === 'inspect' ? loaded : before
  const missing = went.filter(id => gone.has(id))
  const explained = missing.map(
    id => `${marksOfBlades(batch, [id])} ${GONE_WORDS[gone.get(id)?.incident ?? 'set-aside'] ?? 'set aside'}`,
  )
  return `Count: ${went.length} went in, ${went.length - missing.length} must come out${explained.length > 0 ? `; ${listOf(explained)}` : ''}. `
}

const IN_BEFORE: Partial<Record<StepKind, readonly StepKind[]>> = {
  inspect: ['load'],
  'cold-out': ['cold-in'],
  'temper-out': ['temper-in'],
}
const GONE_WORDS: Partial<Record<Incident, string>> = {
  cracked: 'cracked',
  missing: 'missing',
  'set-aside': 'set aside',
}

/** Says since when the oven does not heat. */
export const stillOffWords = (
  { atS, seconds }: { readonly atS: number; readonly seconds: number },
  nowS: number,
): string =>
  `The oven has not heated for ${clockText(Math.max(0, nowS - atS) + seconds)}. Blades in it cool: below their heat no soak counts.`

/** Question once the power is back and blades are in the oven. */
export const afterCutWords = ({ seconds }: { readonly seconds: number }): string =>
  `The oven had no power for ${clockText(seconds)}. How does it go on?`

/** The ways to go on. A blade far below its heat has to soak anew whatever is chosen, and it says so. */
export const afterCutChoices = (say: Speaker) =>
  [
    {
      value: 'go-on',
      label: `Continue: the soak so far counts, unless a blade fell more than ${say.d(BEGINS_ANEW_BELOW_K)} below its heat`,
    },
    { value: 'soak-anew', label: 'Heat again: the soak begins anew once they are at heat' },
    { value: 'stop', label: 'Call the run off' },
  ] as const

/** How the oven and the blades in it stand by the model once the power is back; null where nothing is known. */
export function afterCutStanding(rows: readonly BoardRow[], shownC: number | null, say: Speaker): string | null {
  if (shownC === null) return null
  const soaked = rows.flatMap(row => (isInside(row) && row.soakedS !== null ? [row.soakedS] : []))
  return [
    `By its model the oven shows about ${say.t(shownC)} now.`,
    soaked.length > 0
      ? `The blades in it have soaked ${clockText(Math.max(...soaked))} at most; heated anew, both soaks add up in the grain.`
      : 'No blade in it is at heat.',
  ].join(' ')
}

const isInside = ({ place }: BoardRow) => place === 'oven' || place === 'soaking' || place === 'due'

/** Says the temperatures of oven and blades after a while unattended, if the oven went on as set; null if nothing is in it. */
export function meanwhileWords(
  rows: readonly BoardRow[],
  shownC: number | null,
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  say: Speaker,
): string | null {
  const inside = rows.filter(isInside)
  if (shownC === null) return null
  const soaks = inside.flatMap(row => (row.soakedS === null ? [] : [row.soakedS]))
  const over = inside.filter(row => row.overS > 0)
  return [
    `If the power stayed on, the oven shows about ${say.t(shownC)} now.`,
    ...(soaks.length > 0 ? [`The blades in it have soaked up to ${clockText(Math.max(...soaks))}.`] : []),
    ...(over.length > 0
      ? [
          `Over the longest soak: ${marksOfBlades(
            batch,
            over.map(row => row.blade.bladeId),
          )}.`,
        ]
      : []),
  ].join(' ')
}
