import { INCIDENTS } from '../../data/incidents'
import type { Run, RunEvent, RunStep } from '../shop/run'
import { type EventOf, eventsOf, type IncidentEvent, liveEvents } from './live-events'

/** Blade that takes no further part in the run. */
export interface GoneBlade {
  readonly incident: IncidentEvent['incident']
  readonly atS: number
}

export interface Confirmed {
  readonly step: RunStep
  readonly atS: number
  readonly event: EventOf<'confirm'>
}

/** Oven data beside what was pressed. */
export interface OvenKnown {
  /** Display temperature, °C; null if unknown. */
  readonly shownC: number | null
  /** When each blade was at heat, s on the run's clock, by the oven's model or log; null while it is not. */
  readonly arrivedS: ReadonlyMap<string, number | null>
}

export interface RunState {
  /** The step to be confirmed next; null when all are done. */
  readonly step: RunStep | null
  /** Place of the present step among those that are left to be done at all. */
  readonly stepIndex: number
  /** The steps as they are to be done now: without the blades that are gone, and without what was for them alone. */
  readonly steps: readonly RunStep[]
  readonly next: RunStep | null
  /** Run seconds at which the present step began. */
  readonly sinceS: number
  /** When it is due, s; null where it does not wait for a clock, or its blade is not at heat yet. */
  readonly dueS: number | null
  /** Seconds until then, negative when overdue. */
  readonly remainingS: number | null
  readonly ready: boolean
  /** Condition of the oven that blocks the step: too cold or too hot; null if only time does. */
  readonly oven: 'cold' | 'hot' | null
  readonly inOven: number
  readonly out: number
  /** Confirmed steps with the second they were confirmed at, taken-back ones left out. */
  readonly confirmed: readonly Confirmed[]
  /** Blades that take no part any more, by id. */
  readonly gone: ReadonlyMap<string, GoneBlade>
  readonly incidents: readonly IncidentEvent[]
  /** Pairs of hands that are there now. */
  readonly people: 1 | 2
}

/** Steps that are a hold at temperature by the clock. */
const HELD_HOT: ReadonlySet<RunStep['kind']> = new Set(['equalise', 'temper-out'])

export const NOTHING_KNOWN: OvenKnown = { shownC: null, arrivedS: new Map() }

type RunParts = Pick<Run, 'steps' | 'events'> & Partial<Pick<Run, 'blades' | 'people'>>

/**
 * Where a run stands at a moment, from its stored events: the same after a reload, a crash or a power cut. Without a reading of
 * the oven a step that waits for it leaves the judgement to the person at its display.
 */
export function runStateAt(run: RunParts, nowS: number, oven: OvenKnown = NOTHING_KNOWN): RunState {
  const live = liveEvents(run.events)
  const { gone, fallen, confirmed, added, at } = replayed(run, live)
  const incidents = eventsOf(live, 'incident')
  const people = incidents.some(one => INCIDENTS[one.incident].does === 'alone') ? 1 : (run.people ?? 1)
  const left = run.steps.slice(at).filter(step => !isVoid(step, gone) && !hasFallen(step, fallen))
  const step = left[0] ? without(left[0], gone) : null
  const next = left[1] ? without(left[1], gone) : null
  const sinceS = confirmed.at(-1)?.atS ?? 0
  const dueS = step && dueOf(step)
  const remainingS = dueS === null ? null : dueS - nowS
  const ovenIs = step?.wait ? ovenStandingOf(step.wait, oven.shownC) : null
  const isIn = (kind: string) => new Set(confirmed.filter(c => c.step.kind === kind).flatMap(c => c.step.bladeIds))
  const [loaded, pulled] = [isIn('load'), new Set([...isIn('pull'), ...fallen])]
  const out = [...pulled].filter(id => !gone.has(id)).length
  const isSoaking = step?.wait?.kind === 'soak' && dueS === null
  return {
    step,
    stepIndex: confirmed.length,
    steps: [...confirmed.map(one => one.step), ...left.map(one => without(one, gone))],
    next,
    sinceS,
    dueS,
    remainingS,
    ready: ovenIs === null && !isSoaking && (remainingS ?? 0) <= 0,
    oven: ovenIs,
    inOven: [...loaded].filter(id => !pulled.has(id) && !gone.has(id)).length,
    out,
    confirmed,
    gone,
    incidents,
    people,
  }

  function dueOf(of: RunStep): number | null {
    const { wait } = of
    const more = added.get(of.id) ?? 0
    if (wait?.kind === 'seconds') return Math.max(sinceS + wait.seconds, waitedFor()) + more + withoutPower(of)
    if (wait?.kind !== 'soak') return null
    const soakedS = soakDueS(run, confirmed, oven.arrivedS, wait.bladeId)
    if (soakedS === null) return null
    const pulledS = confirmed.findLast(one => one.step.kind === 'pull')?.atS ?? Number.NEGATIVE_INFINITY
    const apartS = people === 2 ? wait.apartS : wait.apartAloneS
    return Math.max(soakedS, pulledS + apartS, waitedFor()) + more
  }

  /** Returns the hold time lost to a power cut, s. */
  function withoutPower(of: RunStep): number {
    if (!HELD_HOT.has(of.kind)) return 0
    const cuts = incidents
      .filter(one => INCIDENTS[one.incident].does === 'no-power')
      .map(({ atS, seconds, stillOff }) => {
        const untilS = stillOff ? Math.max(atS, nowS) : atS
        return { fromS: atS - seconds, untilS }
      })
      .filter(({ untilS }) => untilS > sinceS)
    return cuts.reduce((sum, { fromS, untilS }) => sum + untilS - Math.max(fromS, sinceS), 0)
  }

  /** Until when something that happened since the present step began makes it wait. */
  function waitedFor(): number {
    const waits = incidents.filter(one => INCIDENTS[one.incident].does === 'wait' && one.atS >= sinceS)
    return Math.max(Number.NEGATIVE_INFINITY, ...waits.map(one => one.atS + one.seconds))
  }
}

/** Replays a run's events: the steps confirmed, minutes added, and blades that are gone or fell before they were pulled. */
function replayed(run: RunParts, live: readonly RunEvent[]) {
  const gone = new Map<string, GoneBlade>()
  /** They are out of the oven, and nobody pulls them. */
  const fallen = new Set<string>()
  const confirmed: Confirmed[] = []
  const added = new Map<string, number>()
  let at = 0
  /** Past what was confirmed and what nobody is left for. */
  const settle = () => {
    const left = run.steps.findIndex((step, i) => i >= at && !isVoid(step, gone) && !hasFallen(step, fallen))
    at = left < 0 ? run.steps.length : left
  }
  const happened = (event: IncidentEvent) => {
    if (INCIDENTS[event.incident].does === 'aside')
      for (const id of event.bladeIds) gone.set(id, { incident: event.incident, atS: event.atS })
    else if (event.incident === 'dropped') {
      const isPulled = (id: string) => confirmed.some(({ step }) => step.kind === 'pull' && step.bladeIds.includes(id))
      for (const id of event.bladeIds) if (!isPulled(id)) fallen.add(id)
    }
  }
  /** Presses of steps that are still to come: another screen's clock was behind when the step before was pressed. */
  const early = new Map<string, EventOf<'confirm'>>()
  const confirmDue = () => {
    for (;;) {
      settle()
      const step = run.steps[at]
      const event = step && early.get(step.id)
      if (!step || !event) return
      const atS = Math.max(event.atS, confirmed.at(-1)?.atS ?? 0)
      confirmed.push({ step: without(step, gone), atS, event })
      early.delete(step.id)
      at++
    }
  }
  for (const event of live) {
    settle()
    if (event.kind === 'confirm') {
      const isToCome = run.steps.findIndex(step => step.id === event.stepId) >= at
      if (isToCome && !early.has(event.stepId)) early.set(event.stepId, event)
    } else if (event.kind === 'add-minutes')
      added.set(event.stepId, (added.get(event.stepId) ?? 0) + event.minutes * 60)
    else if (event.kind === 'incident') happened(event)
    confirmDue()
  }
  settle()
  return { gone, fallen, confirmed, added, at }
}

/** When a blade's own soak is over, s: from its arrival by model or log, else from the press at full heat and what it lags. */
export function soakDueS(
  run: Partial<Pick<Run, 'blades'>>,
  confirmed: readonly Confirmed[],
  arrivedS: OvenKnown['arrivedS'],
  bladeId: string,
): number | null {
  const blade = run.blades?.find(one => one.bladeId === bladeId)
  if (!blade) return null
  const arrived = arrivalOf(blade, confirmed, arrivedS)
  return arrived === null ? null : arrived + blade.soakMin * 60
}

/** When a blade was or will be at heat, s; null while nothing says. */
export function arrivalOf(
  { bladeId, lagS }: NonNullable<Run['blades']>[number],
  confirmed: readonly Confirmed[],
  arrivedS: OvenKnown['arrivedS'],
): number | null {
  const known = arrivedS.get(bladeId)
  if (known !== undefined && known !== null) return known
  const loaded = confirmed.findIndex(one => one.step.kind === 'load' && one.step.bladeIds.includes(bladeId))
  const full = loaded < 0 ? undefined : confirmed.slice(loaded).find(one => one.step.kind === 'full-heat')
  return full ? full.atS + lagS : null
}

/** A step for blades that are all gone. A count and what is for no blade in particular stay. */
const isVoid = (step: RunStep, gone: ReadonlyMap<string, GoneBlade>): boolean =>
  step.kind === 'unclamp'
    ? step.names.afterBladeId !== undefined && gone.has(step.names.afterBladeId)
    : step.kind !== 'inspect' && step.bladeIds.length > 0 && step.bladeIds.every(id => gone.has(id))

/** A pull, or what follows it at the plates, of a blade that lies on the floor. */
const hasFallen = (step: RunStep, fallen: ReadonlySet<string>): boolean =>
  step.kind === 'pull'
    ? step.bladeIds.length > 0 && step.bladeIds.every(id => fallen.has(id))
    : step.kind === 'unclamp' && step.names.afterBladeId !== undefined && fallen.has(step.names.afterBladeId)

const without = (step: RunStep, gone: ReadonlyMap<string, GoneBlade>): RunStep =>
  gone.size > 0 && step.bladeIds.some(id => gone.has(id))
    ? { ...step, bladeIds: step.bladeIds.filter(id => !gone.has(id)) }
    : step

/** Whether the oven is too cold or too hot for a step; null where it is right, or nobody knows. */
function ovenStandingOf(wait: NonNullable<RunStep['wait']>, shownC: number | null): 'cold' | 'hot' | null {
  if (shownC === null) return null
  if (wait.kind === 'oven-below') return shownC > wait.atMostC ? 'hot' : null
  if (wait.kind !== 'oven') return null
  if (shownC < wait.atLeastC) return 'cold'
  return wait.atMostC !== undefined && shownC > wait.atMostC ? 'hot' : null
}
