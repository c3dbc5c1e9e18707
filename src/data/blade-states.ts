/** States a blade can be in, beside being one of its batch. */
export const BLADE_STATES = [
  'whole',
  'set-aside',
  'cracked',
  'lost',
  'scrapped',
  'sent-back',
  'finished',
  'sold',
] as const
export type BladeState = (typeof BLADE_STATES)[number]

/** States in which a blade takes no part in what is still to be done: no load, box, temper, count of its batch has it. */
export const OUT_STATES: ReadonlySet<BladeState> = new Set(['set-aside', 'cracked', 'lost', 'scrapped', 'sent-back'])
