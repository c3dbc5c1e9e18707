import type { Run, RunEvent } from '../shop/run'

/** Returns a run with some events added at its end; those it holds already are not added again. */
export function withEvents<R extends Pick<Run, 'events'>>(run: R, events: readonly RunEvent[]): R {
  const ids = new Set(run.events.map(event => event.id))
  return { ...run, events: [...run.events, ...events.filter(event => !ids.has(event.id))] }
}

/** Whether an event was put right by hand after it was pressed. */
const isCorrected = (event: RunEvent): boolean => event.pressedS !== undefined

/**
 * Returns one run of two records of it: the events of both, each once, in order of time; of one that was corrected in one of them, the
 * correction. What the first says of all else stays.
 */
export function joinedRun(one: Run, other: Run): Run {
  const theirs = new Map(other.events.map(event => [event.id, event]))
  const own = one.events.map(event => {
    const their = theirs.get(event.id)
    return their && isCorrected(their) && !isCorrected(event) ? their : event
  })
  const { events } = withEvents({ events: own }, other.events)
  const inTime = events.map((event, i) => ({ event, i })).sort((a, b) => a.event.atS - b.event.atS || a.i - b.i)
  return { ...one, events: inTime.map(({ event }) => event), endedAt: one.endedAt ?? other.endedAt }
}
