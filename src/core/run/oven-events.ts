import { INCIDENTS } from '../../data/incidents'
import type { Run, RunEvent } from '../shop/run'
import { happeningsAt } from './drill'
import { eventsOf, liveEvents } from './live-events'
import { runStateAt } from './run-state'

export type OvenName = 'hardening' | 'tempering'

/** Something that happened to an oven, at a second of the run's clock. Temperatures in °C as its display shows them. */
export type OvenEvent = { readonly atS: number; readonly oven: OvenName } & (
  | { readonly kind: 'set'; readonly setC: number }
  /** Blades in: to be hardened, 0, or for a temper, from 1; and out again. */
  | { readonly kind: 'in'; readonly bladeIds: readonly string[]; readonly round: number }
  | { readonly kind: 'out'; readonly bladeIds: readonly string[] }
  | { readonly kind: 'shows'; readonly c: number }
  /** Soak of the blades in it does not count. */
  | { readonly kind: 'anew' }
  /** The door stands open, or there is no power, until a second of the clock. */
  | { readonly kind: 'door' | 'no-power'; readonly untilS: number }
)

const TEMPER_STEPS: ReadonlySet<string> = new Set(['temper-cool', 'temper-start', 'temper-in', 'temper-out'])
const COMES_IN: ReadonlySet<string> = new Set(['load', 'temper-in'])
const GOES_OUT: ReadonlySet<string> = new Set(['pull', 'temper-out'])

/** An oven that is still off stays so until it is called on again, s. */
const UNTIL_CALLED_S = 100_000_000

/** Parts of a run that its ovens depend on. */
export type OvenRun = Pick<Run, 'steps' | 'events'> & Partial<Pick<Run, 'drill' | 'people'>>

/**
 * When an oven had no power or its door stood open. In the shop it is what was called, and had passed by then; in a practice with
 * surprises it is what really happened, whether or not anybody saw it.
 */
function spellsOf(run: OvenRun, live: readonly RunEvent[]) {
  const all = run.drill
    ? happeningsAt({ drill: run.drill, people: 1, ...run }, Number.POSITIVE_INFINITY).map(({ surprise, atS }) => ({
        fromS: atS,
        untilS: atS + surprise.seconds,
        does: INCIDENTS[surprise.incident].does,
      }))
    : eventsOf(live, 'incident').map(({ atS, seconds, incident, stillOff }) => ({
        fromS: Math.max(0, atS - seconds),
        untilS: stillOff ? UNTIL_CALLED_S : atS,
        does: INCIDENTS[incident].does,
      }))
  return all.filter(({ does }) => does === 'door-open' || does === 'no-power')
}

/**
 * Returns the events of the hardening and the tempering oven of a run, in order: set points as steps began, blades in and out, the
 * display as it was read, doors and power. `ownTempering`: whether tempers go into an oven of their own.
 */
export function ovenEventsOf(run: OvenRun, ownTempering: boolean): OvenEvent[] {
  const { confirmed, steps } = runStateAt(run, 0)
  const ovenOf = (kind: string): OvenName => (ownTempering && TEMPER_STEPS.has(kind) ? 'tempering' : 'hardening')
  const events: OvenEvent[] = []
  const set: Record<OvenName, number> = { hardening: 0, tempering: 0 }
  confirmed.forEach(({ step, atS }, i) => {
    const oven = ovenOf(step.kind)
    if (step.bladeIds.length > 0 && COMES_IN.has(step.kind))
      events.push({
        atS,
        oven,
        kind: 'in',
        bladeIds: step.bladeIds,
        round: step.kind === 'load' ? 0 : (step.names.round ?? 1),
      })
    if (step.bladeIds.length > 0 && GOES_OUT.has(step.kind))
      events.push({ atS, oven, kind: 'out', bladeIds: step.bladeIds })
    const following = steps[i + 1]
    const target = following ? ovenOf(following.kind) : oven
    const wanted = following?.ovenSetC ?? 0
    if (wanted !== set[target]) {
      set[target] = wanted
      events.push({ atS, oven: target, kind: 'set', setC: wanted })
    }
  })
  const at = (atS: number): OvenName => ovenOf(steps[confirmed.filter(one => one.atS <= atS).length]?.kind ?? '')
  const live = liveEvents(run.events)
  for (const { atS, c } of eventsOf(live, 'shows')) events.push({ atS, oven: at(atS), kind: 'shows', c })
  for (const { atS, afterCut } of eventsOf(live, 'incident'))
    if (afterCut === 'soak-anew') events.push({ atS, oven: at(atS), kind: 'anew' })
  for (const { fromS, untilS, does } of spellsOf(run, live))
    events.push({ atS: fromS, oven: at(fromS), kind: does === 'no-power' ? 'no-power' : 'door', untilS })
  return events.sort((a, b) => a.atS - b.atS)
}
