/** Tasks after the last temper, in the order of the work. */
export const FINISH_TASKS = ['scale', 'holes', 'bevels', 'surface', 'edge'] as const
export type FinishTask = (typeof FINISH_TASKS)[number]
