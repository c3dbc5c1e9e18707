import type { RunEvent } from '../shop/run'

/** Returns whether an event can be undone: presses can, remarks and display readings cannot. */
const isUndone = (event: RunEvent): boolean =>
  event.kind === 'confirm' ||
  event.kind === 'add-minutes' ||
  event.kind === 'incident' ||
  (event.kind === 'shows' && event.by === 'hand')

/**
 * The events of a run that count: each taking back takes away what it names, on every screen that pressed it, or what was done last
 * before it. A call-off stays.
 */
export function liveEvents(events: readonly RunEvent[]): RunEvent[] {
  const live: RunEvent[] = []
  for (const event of events) {
    if (event.kind !== 'take-back') live.push(event)
    else {
      const back = event.of === undefined ? live.findLast(isUndone) : live.find(one => one.id === event.of)
      if (back) live.splice(0, live.length, ...live.filter(one => !isOneWith(one, back)))
    }
  }
  return live
}

/** Returns the event that a taking back would take away now; null: there is none. */
export const lastUndone = (events: readonly RunEvent[]): RunEvent | null =>
  liveEvents(events).findLast(isUndone) ?? null

/** Whether an event is another, or the press of the same step on another screen. */
const isOneWith = (one: RunEvent, other: RunEvent): boolean =>
  one === other || (one.kind === 'confirm' && other.kind === 'confirm' && one.stepId === other.stepId)

export type EventOf<K extends RunEvent['kind']> = Extract<RunEvent, { kind: K }>
export type IncidentEvent = EventOf<'incident'>

/** Events of one kind, in their order. */
export const eventsOf = <K extends RunEvent['kind']>(events: readonly RunEvent[], kind: K): EventOf<K>[] =>
  events.filter((event): event is EventOf<K> => event.kind === kind)
