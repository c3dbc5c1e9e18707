/** Kinds of operator task in a plan. */
export const TASK_KINDS = [
  'anneal-in',
  'anneal-out',
  'relieve-in',
  'relieve-out',
  'load',
  'pull',
  'inspect',
  'cold-in',
  'cold-out',
  'temper-in',
  'temper-out',
  'straighten',
] as const
export type TaskKind = (typeof TASK_KINDS)[number]
