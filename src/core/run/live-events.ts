import type { RunEvent } from '../shop/run'

/** Returns whether an event can be undone: presses can, remarks and display readings cannot. */
const isUndone = (event: RunEvent): boolean =>
  event.kind === 'confirm' ||
  event.kind === 'add-minutes' ||
  event.kind === 'incident' ||
  (event.kind === 'shows' && event.by === 'hand')

/** The events of a run that count: each taking back takes away what was done last before it. A call-off stays. */
export function liveEvents(events: readonly RunEvent[]): RunEvent[] {
  const live: RunEvent[] = []
  for (const event of events) {
    if (event.kind !== 'take-back') live.push(event)
    else {
      const last = live.findLastIndex(isUndone)
      if (last >= 0) live.splice(last, 1)
    }
  }
  return live
}

export type EventOf<K extends RunEvent['kind']> = Extract<RunEvent, { kind: K }>
export type IncidentEvent = EventOf<'incident'>

/** Events of one kind, in their order. */
export const eventsOf = <K extends RunEvent['kind']>(events: readonly RunEvent[], kind: K): EventOf<K>[] =>
  events.filter((event): event is EventOf<K> => event.kind === kind)
