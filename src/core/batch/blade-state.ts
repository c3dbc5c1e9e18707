import { type BladeState, OUT_STATES } from '../../data/blade-states'
import { FINISH_TASKS } from '../../data/finishing'
import type { Batch } from '../shop/batch'
import type { Blade, BladeStateEvent } from '../shop/blade'
import { editBlade } from './tray-edit'

/** Whether every finishing task of a blade is done. */
export const isFinished = ({ finished }: Pick<Blade, 'finished'>): boolean =>
  FINISH_TASKS.every(task => finished?.includes(task))

/**
 * Returns the state of a blade: the newest recorded one, else cracked if a crack was seen, else whole. One that is whole with
 * every finishing task done is finished.
 */
export function stateOf(blade: Pick<Blade, 'states' | 'inspection' | 'finished'>): BladeState {
  const { states, inspection } = blade
  const state = states?.at(-1)?.is ?? (inspection?.cracked ? 'cracked' : 'whole')
  return state === 'whole' && isFinished(blade) ? 'finished' : state
}

/** Whether a blade takes no part in what is still to be done with its batch. */
export const isOut = (record: Pick<Blade, 'states' | 'inspection' | 'finished'>): boolean =>
  OUT_STATES.has(stateOf(record))

/** Those of some blades that stand: they are loaded, chilled, tempered, judged and counted. */
export const standing = <B extends { readonly record: Blade }>(blades: readonly B[]): B[] =>
  blades.filter(({ record }) => !isOut(record))

/** The batch with a blade's state from now on. One that is no longer finished has its finishing to do again. */
export const withState = (batch: Batch, bladeId: string, state: BladeStateEvent): Batch =>
  editBlade(batch, bladeId, ({ finished, ...blade }) => ({
    ...blade,
    ...(finished && !(state.is === 'whole' && stateOf({ ...blade, finished }) === 'finished') && { finished }),
    states: [...(blade.states ?? []), { ...state }],
  }))
