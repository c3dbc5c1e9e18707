import type { BladePlace, BoardRow } from '../core/run/board'
import type { StepKind } from '../core/shop/run'
import { clockText } from './clock-text'

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

/** What comes next for a blade, and when. */
export function nextWords({ next, place }: BoardRow): string {
  if (place === 'gone') return 'set aside'
  if (!next) return 'done'
  const name = NEXT[next.kind] ?? ''
  if (next.inS === null) return name
  return next.inS > 0 ? `${name} in ${clockText(next.inS)}` : `${name} now`
}

/** What a blade has soaked, with how much of it is more than its steel should. */
export const soakedWords = ({ soakedS, overS }: Pick<BoardRow, 'soakedS' | 'overS'>): string =>
  soakedS === null ? '' : `${clockText(soakedS)}${overS > 0 ? `, ${clockText(overS)} over` : ''}`

/** The soak a blade is planned for, and the longest its steel should have. */
export const windowWords = ({ soakMin, longestMin }: BoardRow['blade']): string =>
  longestMin === null ? `of ${Math.round(soakMin)} min` : `of ${Math.round(soakMin)} to ${Math.round(longestMin)} min`
