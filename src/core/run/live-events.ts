import type { RunEvent } from '../shop/run'

/** Returns whether an event can be undone: presses can, remarks and display readings cannot. */
const isUndone = (event: RunEvent): boolean =>
  event.kind === 'confirm' ||
  event.kind === 'add-minutes' ||
  event.kind === 'incident' ||
  (event.kind === 'shows' && event.by === 'hand')

/**
 * The events of a run that count: of one step pressed on two screens the first press; each taking back takes away what it names, or
 * what was done last before it. A call-off stays.
 */
export function liveEvents(events: readonly RunEvent[]): RunEvent[] {
  const live: RunEvent[] = []
  /** Presses that another screen's press of the same step stands for, by their ids. */
  const stoodFor = new Map<string, string>()
  for (const event of events) {
    if (event.kind === 'take-back') {
      const back =
        event.of === undefined
          ? live.findLastIndex(isUndone)
          : live.findIndex(one => one.id === (stoodFor.get(event.of ?? '') ?? event.of))
      if (back >= 0) live.splice(back, 1)
      continue
    }
    const same = event.kind === 'confirm' && live.find(one => one.kind === 'confirm' && one.stepId === event.stepId)
    if (!same) live.push(event)
    else {
      stoodFor.set(event.id, same.id)
      // What the display must have shown for a press that does not count says nothing.
      const shown = live.at(-1)
      if (shown?.kind === 'shows' && shown.atS === event.atS) live.pop()
    }
  }
  return live
}

/** Returns the event that a taking back would take away now; null: there is none. */
export const lastUndone = (events: readonly RunEvent[]): RunEvent | null =>
  liveEvents(events).findLast(isUndone) ?? null

export type EventOf<K extends RunEvent['kind']> = Extract<RunEvent, { kind: K }>
export type IncidentEvent = EventOf<'incident'>

/** Events of one kind, in their order. */
export const eventsOf = <K extends RunEvent['kind']>(events: readonly RunEvent[], kind: K): EventOf<K>[] =>
  events.filter((event): event is EventOf<K> => event.kind === kind)
