import { type BladeState, OUT_STATES } from '../../data/blade-states'
import type { Batch } from '../shop/batch'
import type { Blade, BladeStateEvent } from '../shop/blade'
import { editBlade } from './tray-edit'

/** Returns the state of a blade: the newest recorded one, else cracked if a crack was seen, else whole. */
export const stateOf = ({ states, inspection }: Pick<Blade, 'states' | 'inspection'>): BladeState =>
  states?.at(-1)?.is ?? (inspection?.cracked ? 'cracked' : 'whole')

/** Whether a blade takes no part in what is still to be done with its batch. */
export const isOut = (record: Pick<Blade, 'states' | 'inspection'>): boolean => OUT_STATES.has(stateOf(record))

/** Those of some blades that stand: they are loaded, chilled, tempered, judged and counted. */
export const standing = <B extends { readonly record: Blade }>(blades: readonly B[]): B[] =>
  blades.filter(({ record }) => !isOut(record))

/** The batch with a blade's state from now on. */
export const withState = (batch: Batch, bladeId: string, state: BladeStateEvent): Batch =>
  editBlade(batch, bladeId, blade => ({ ...blade, states: [...(blade.states ?? []), { ...state }] }))
