import type { QuestionName } from '../core/contract/questions'

/** How often the shop's log changed, its newest batches, and what it teaches. */
export interface LogVersion {
  readonly log: number
  readonly newest: number
  readonly learnt: number
}

/** Questions whose answers rest on the shop's log, and on what of it: they are asked anew when that changes. */
export const RESTS_ON: Readonly<Partial<Record<QuestionName, keyof LogVersion>>> = {
  advise: 'learnt',
  batch: 'learnt',
  certificates: 'learnt',
  'each-blade': 'learnt',
  find: 'log',
  lately: 'learnt',
  learn: 'learnt',
  logbook: 'log',
  'logbook-newest': 'newest',
  measured: 'learnt',
  'oven-offset': 'log',
  predictions: 'learnt',
  'recipe-map': 'learnt',
  'recipe-versions': 'log',
  'shared-tempers': 'learnt',
  'temper-curve': 'learnt',
  trends: 'log',
}

/** Questions that may take long: they have a worker of their own, so that the others need not wait. */
const LONG: ReadonlySet<QuestionName> = new Set([
  'certificates',
  'day',
  'day-added',
  'day-helps',
  'days',
  'entries',
  'foil',
  'grade-curves',
  'load-heat',
  'logged-route',
  'oven',
  'plan',
  'plate-fit',
  'pull-list',
  'rank-steels',
  'recipe-map',
  'run-steps',
  'shared-tempers',
  'tale',
  'year-cost',
])

/** Lane of a question: answers about the whole log have a worker of their own, in which it is read once. */
export type LaneName = 'quick' | 'long' | 'log'
export const laneNameOf = (name: QuestionName): LaneName =>
  RESTS_ON[name] === 'log' ? 'log' : LONG.has(name) ? 'long' : 'quick'
