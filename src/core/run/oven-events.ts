import { INCIDENTS } from '../../data/incidents'
import type { Run } from '../shop/run'
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
  /** The door stands open, or there is no power, until a second of the clock. */
  | { readonly kind: 'door' | 'no-power'; readonly untilS: number }
)

const TEMPER_STEPS: ReadonlySet<string> = new Set(['temper-cool', 'temper-start', 'temper-in', 'temper-out'])
const COMES_IN: ReadonlySet<string> = new Set(['load', 'temper-in'])
const GOES_OUT: ReadonlySet<string> = new Set(['pull', 'temper-out'])

/**
 * What a run did to the oven that hardens and to the one that tempers, in order: set points as steps began, blades in and out, the
 * display as it was read, doors and power. `ownTempering`: whether tempers go into an oven of their own.
 */
export function ovenEventsOf(run: Pick<Run, 'steps' | 'events'>, ownTempering: boolean): OvenEvent[] {
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
  for (const { atS, incident, seconds } of eventsOf(live, 'incident')) {
    const { does } = INCIDENTS[incident]
    if (does === 'door-open' || does === 'no-power')
      events.push({
        atS: Math.max(0, atS - seconds),
        oven: at(atS),
        kind: does === 'no-power' ? 'no-power' : 'door',
        untilS: atS,
      })
  }
  return events.sort((a, b) => a.atS - b.atS)
}
