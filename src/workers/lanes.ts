import type { QuestionName } from '../core/contract/questions'

/** How often the shop's log changed, and how often what it teaches did. */
export interface LogVersion {
  readonly log: number
  readonly learnt: number
}

/** Questions whose answers rest on the shop's log, and on what of it: they are asked anew when that changes. */
export const RESTS_ON: Readonly<Partial<Record<QuestionName, keyof LogVersion>>> = {
  advise: 'learnt',
  band: 'learnt',
  batch: 'learnt',
  'each-blade': 'learnt',
  lately: 'learnt',
  learn: 'learnt',
  logbook: 'log',
  'oven-offset': 'log',
  predictions: 'learnt',
  'recipe-map': 'learnt',
  'recipe-versions': 'log',
  'temper-curve': 'learnt',
  trends: 'log',
}

/** What may take longer than a hand can wait: it has a worker of its own, so that the rest need not wait behind it. */
const LONG: ReadonlySet<QuestionName> = new Set([
  'band',
  'certificates',
  'day',
  'day-added',
  'day-helps',
  'days',
  'entries',
  'foil',
  'grade-curves',
  'load-heat',
  'logbook',
  'logged-route',
  'oven',
  'oven-offset',
  'plan',
  'plate-fit',
  'pull-list',
  'rank-steels',
  'recipe-map',
  'recipe-versions',
  'run-steps',
  'tale',
  'trends',
  'year-cost',
])

export type LaneName = 'quick' | 'long'
export const laneNameOf = (name: QuestionName): LaneName => (LONG.has(name) ? 'long' : 'quick')
