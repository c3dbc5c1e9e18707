import type { Run, RunEvent } from '../shop/run'

/** Returns a run with some events added at its end; those it holds already are not added again. */
export function withEvents<R extends Pick<Run, 'events'>>(run: R, events: readonly RunEvent[]): R {
  const ids = new Set(run.events.map(event => event.id))
  return { ...run, events: [...run.events, ...events.filter(event => !ids.has(event.id))] }
}

/** Returns a run without an event, which no other copy of it brings back. */
export const withoutEvent = <R extends Pick<Run, 'events' | 'takenOut'>>(run: R, eventId: string): R => ({
  ...run,
  events: run.events.filter(event => event.id !== eventId),
  takenOut: [...(run.takenOut ?? []), eventId],
})

/** How far an event has gone since it was pressed: its time put right, what it asked answered, what was still off back on. */
const stepsOf = (event: RunEvent): number =>
  Number(event.pressedS !== undefined) +
  (event.kind === 'incident' ? Number(event.afterCut !== undefined) + Number(!event.stillOff) : 0)

/**
 * Returns one run of two records of it: the events of both, each once and as it went further, in order of time. The clock, with its open question,
 * is that of the record whose clock went further: legs are only ever added. What the first says of all else stays.
 */
export function joinedRun(one: Run, other: Run): Run {
  const theirs = new Map(other.events.map(event => [event.id, event]))
  const own = one.events.map(event => {
    const their = theirs.get(event.id)
    return their && stepsOf(their) > stepsOf(event) ? their : event
  })
  const takenOut = [...new Set([...(one.takenOut ?? []), ...(other.takenOut ?? [])])]
  const { events: all } = withEvents({ events: own }, other.events)
  const events = all.filter(event => !takenOut.includes(event.id))
  const inTime = events.map((event, i) => ({ event, i })).sort((a, b) => a.event.atS - b.event.atS || a.i - b.i)
  const { asked: _, ...rest } = one
  const { clock, asked } = other.clock.length > one.clock.length ? other : one
  return {
    ...rest,
    clock,
    ...(asked && { asked }),
    events: inTime.map(({ event }) => event),
    endedAt: one.endedAt ?? other.endedAt,
    ...(takenOut.length > 0 && { takenOut }),
  }
}
