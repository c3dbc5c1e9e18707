/** What hands do in a plan. */
export const TASK_KINDS = ['load', 'pull', 'inspect', 'cold-in', 'cold-out', 'temper-in', 'temper-out'] as const
export type TaskKind = (typeof TASK_KINDS)[number]
