import { useSyncExternalStore } from 'react'
import { type Moment, whereaboutsAt } from '../../core/job/moment'
import { createSubscribable } from '../../core/subscribable'
import type { Glow } from '../../ui/drawings/glow'
import { heatColour } from '../../ui/heatline/colour'
import { useBench } from './bench-context'

/** The moment the cursor on the Heat Line stands at: every drawing that follows it watches this. Null: none is chosen. */
export const chosenMoment = createSubscribable<Moment | null>(null)

export const useMoment = (): Moment | null => useSyncExternalStore(chosenMoment.subscribe, chosenMoment.get)

/** How the shown steel's blades look at the chosen moment; null while none is chosen. */
export function useGlow(): Glow | null {
  const moment = useMoment()
  const { shown } = useBench()
  return moment && { where: whereaboutsAt(shown.stretches, moment), colour: heatColour(moment.c, moment.phase) }
}
