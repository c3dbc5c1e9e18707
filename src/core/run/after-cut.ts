import { INCIDENTS } from '../../data/incidents'
import type { Run } from '../shop/run'
import { eventsOf, type IncidentEvent, liveEvents } from './live-events'
import type { RunState } from './run-state'

/** A cut of power with blades in the hardening oven that nobody has yet said about how it goes on; null where there is none. */
export const cutToAnswer = ({ incidents, inOven, sinceS }: RunState): IncidentEvent | null =>
  inOven === 0
    ? null
    : (incidents.findLast(
        ({ incident, atS, afterCut, stillOff }) =>
          INCIDENTS[incident].does === 'no-power' && atS >= sinceS && afterCut === undefined && !stillOff,
      ) ?? null)

/** Returns the incident since which the oven does not heat, the newest; null where it heats. */
export const stillOffOf = (run: Pick<Run, 'events'>): IncidentEvent | null =>
  eventsOf(liveEvents(run.events), 'incident').findLast(({ stillOff }) => stillOff) ?? null

/** Returns the events of a run whose oven heats again at a second: what was still off has passed by then. */
export const heatingAgain = (events: Run['events'], atS: number): Run['events'] =>
  events.map(event => {
    if (event.kind !== 'incident' || !event.stillOff) return event
    const { stillOff: _, ...passed } = event
    return { ...passed, atS: Math.max(event.atS, atS), seconds: Math.max(0, atS - event.atS) + event.seconds }
  })
