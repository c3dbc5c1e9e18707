import { whereaboutsAt } from '../../core/trace/cursor-time'
import type { Glow } from '../../ui/drawings/glow'
import { heatColour } from '../../ui/heatline/colour'
import { useBench } from './bench-context'
import { useMoment } from './moment'

/** How the shown steel's blades look at the chosen moment; null while none is chosen. */
export function useGlow(): Glow | null {
  const moment = useMoment()
  const { shown } = useBench()
  return moment && { where: whereaboutsAt(shown.stretches, moment), colour: heatColour(moment.c, moment.phase) }
}
