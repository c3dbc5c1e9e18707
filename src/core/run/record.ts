import type { BladeState } from '../../data/blade-states'
import type { Incident } from '../../data/incidents'
import type { Run, RunBlade } from '../shop/run'
import { boardOf } from './board'
import { realMsAt } from './clock'
import type { IncidentEvent } from './live-events'
import { type GoneBlade, runStateAt } from './run-state'

/** Record of a run for one blade. Moments in s on the run's clock. */
export interface BladeRecord {
  readonly blade: RunBlade
  readonly inS: number | null
  readonly outS: number | null
  /** Its soak, s; null if it never was at heat. */
  readonly soakedS: number | null
  /** More than it should have, s. */
  readonly overS: number
  readonly coldS: number | null
  /** How long each of its tempers was, in and out, s. */
  readonly temperS: readonly number[]
  readonly gone: GoneBlade | null
  readonly incidents: readonly IncidentEvent[]
}

/** Returns the record of a run for each of its blades, with corrections applied. */
export function recordOf(run: Run): BladeRecord[] {
  const endS = run.events.at(-1)?.atS ?? 0
  const state = runStateAt(run, endS)
  return boardOf(run, state, endS, new Map()).map(({ blade, soakedS, overS }): BladeRecord => {
    const id = blade.bladeId
    const moments = (kind: string) =>
      state.confirmed.filter(one => one.step.kind === kind && one.step.bladeIds.includes(id)).map(one => one.atS)
    const [inS, outS] = [moments('load').at(-1) ?? null, moments('pull').at(-1) ?? null]
    const [coldIn, coldOut] = [moments('cold-in')[0], moments('cold-out')[0]]
    const outs = moments('temper-out')
    return {
      blade,
      inS,
      outS,
      soakedS: outS === null ? null : soakedS,
      overS: outS === null ? 0 : overS,
      coldS: coldIn !== undefined && coldOut !== undefined ? coldOut - coldIn : null,
      temperS: moments('temper-in').flatMap((at, i) => (outs[i] === undefined ? [] : [(outs[i] as number) - at])),
      gone: state.gone.get(id) ?? null,
      incidents: state.incidents.filter(one => one.bladeIds.includes(id)),
    }
  })
}

/** Returns the soak of each blade pulled in a run, min, to a tenth. */
export const soakedMinOf = (run: Run): ReadonlyMap<string, number> =>
  new Map(
    recordOf(run).flatMap(({ blade, soakedS }) =>
      soakedS === null ? [] : [[blade.bladeId, Math.round(soakedS / 6) / 10] as const],
    ),
  )

/** Blades that a run counted out and saw straight and whole; those that left it before its end are not among them. */
export function inspectedIn(run: Run): ReadonlySet<string> {
  const { confirmed, gone } = runStateAt(run, 0)
  const seen = confirmed.flatMap(({ step }) => (step.kind === 'inspect' ? step.bladeIds : []))
  return new Set(seen.filter(id => !gone.has(id)))
}

const CAME_TO: Partial<Record<Incident, BladeState>> = { cracked: 'cracked', missing: 'lost', 'set-aside': 'set-aside' }

/** Returns the states of blades from a run, with the instant; of those that left it before its end. */
export function statesIn(
  run: Run,
): ReadonlyMap<string, { readonly is: BladeState; readonly at: string; readonly runId: string }> {
  const states = [...runStateAt(run, 0).gone].flatMap(([bladeId, { incident, atS }]) => {
    const is = CAME_TO[incident]
    const at = new Date(realMsAt(run.clock, atS)).toISOString()
    return is ? [[bladeId, { is, at, runId: run.id }] as const] : []
  })
  return new Map(states)
}

/** Blades whose packet was called to let air in: a leak or a torn foil. */
export const leakedIn = (run: Run): ReadonlySet<string> =>
  new Set(
    runStateAt(run, 0).incidents.flatMap(({ incident, bladeIds }) =>
      incident === 'leaked' || incident === 'torn' ? bladeIds : [],
    ),
  )

/** An event moved to another moment by hand: what it was pressed at is kept. */
export function correctedEvents(events: Run['events'], eventId: string, atS: number): Run['events'] {
  return events.map(event => (event.id === eventId ? { ...event, atS, pressedS: event.pressedS ?? event.atS } : event))
}

/** Moments between which something can have happened, s. */
export interface Room {
  readonly fromS: number
  readonly toS: number
}

/** The moment meant by one that is told to the whole second, as the limits are: the limit itself lies within. Null outside. */
export function momentWithin({ fromS, toS }: Room, toldS: number): number | null {
  if (toldS < Math.round(fromS) || toldS > Math.round(toS)) return null
  return Math.min(toS, Math.max(fromS, toldS))
}

/** Between which moments an event can have happened: what was done before it and after it stands as it is. */
export function roomFor(run: Pick<Run, 'steps' | 'events'>, eventId: string): Room | null {
  const { confirmed } = runStateAt(run, 0)
  const at = confirmed.findIndex(one => one.event.id === eventId)
  if (at < 0) return null
  return { fromS: confirmed[at - 1]?.atS ?? 0, toS: confirmed[at + 1]?.atS ?? Number.POSITIVE_INFINITY }
}
