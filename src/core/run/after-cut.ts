import { INCIDENTS } from '../../data/incidents'
import type { IncidentEvent } from './live-events'
import type { RunState } from './run-state'

/** A cut of power with blades in the hardening oven that nobody has yet said about how it goes on; null where there is none. */
export const cutToAnswer = ({ incidents, inOven, sinceS }: RunState): IncidentEvent | null =>
  inOven === 0
    ? null
    : (incidents.findLast(
        ({ incident, atS, afterCut }) =>
          INCIDENTS[incident].does === 'no-power' && atS >= sinceS && afterCut === undefined,
      ) ?? null)
