import { useSyncExternalStore } from 'react'
import { createSubscribable } from '../../core/subscribable'
import type { Moment } from '../../core/trace/cursor-time'

/** The moment the cursor on the Heat Line stands at: every drawing that follows it watches this. Null: none is chosen. */
export const chosenMoment = createSubscribable<Moment | null>(null)

export const useMoment = (): Moment | null => useSyncExternalStore(chosenMoment.subscribe, chosenMoment.get)
