import { FINISH_TASKS, type FinishTask } from '../data/finishing'
import { marksOf } from './lists'

/** Finishing tasks: the column head, and how each is done. */
export const FINISH_WORDS: Readonly<Record<FinishTask, { readonly name: string; readonly how: string }>> = {
  scale: {
    name: 'Scale off',
    how: 'Remove the scale first. A blade from a tight packet needs only a wipe and a fine belt.',
  },
  holes: { name: 'Holes to size', how: 'Pivot holes are tighter after hardening. Hone them back to size.' },
  bevels: {
    name: 'Bevels ground',
    how: 'Use fresh belts and keep water within reach. Cool the blade before it is too warm to hold.',
  },
  surface: { name: 'Surface', how: 'Grind through the decarburised skin before the last grit; it stays soft.' },
  edge: { name: 'Edge set', how: 'An edge that turned blue has become soft: grind it back to grey steel.' },
}

/** Names the press that finishes so many blades. */
export const finishWords = (count: number): string => (count === 1 ? 'Finish this blade' : `Finish these ${count}`)

/** Says that so many blades are finished. */
export const finishedWords = (count: number): string =>
  count === 1 ? 'One blade finished' : `${count} blades finished`

/** Names the blades that something is still to be done on. */
export function openWords(
  blades: readonly { readonly mark: string; readonly finished: readonly FinishTask[] }[],
): string {
  const open = blades.filter(({ finished }) => finished.length < FINISH_TASKS.length)
  if (open.length === 0) return 'all done'
  return open.length === blades.length ? 'none is done yet' : `still to do: ${marksOf(open.map(({ mark }) => mark))}`
}
