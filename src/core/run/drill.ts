import { DRILL_GOOD, DRILLS } from '../../data/drill'
import { INCIDENTS, type Incident } from '../../data/incidents'
import { createRandom, type Random } from '../numeric/random'
import type { Run, RunStep, StepKind } from '../shop/run'
import type { IncidentEvent } from './live-events'
import { recordOf } from './record'
import { runStateAt } from './run-state'

/** Something that goes wrong in a practice, hidden until it happens. */
export interface Surprise {
  readonly incident: Incident
  /** The step in which it happens, and how long after that began, s. */
  readonly stepId: string
  readonly afterS: number
  readonly bladeId: string | null
  /** How long it lasts, s; 0 for what has no length. */
  readonly seconds: number
}

/** A surprise as it stands: when it happened, and what it was answered with. */
export interface Happening {
  readonly surprise: Surprise
  readonly atS: number
  readonly answer: IncidentEvent | null
}

/** In which steps an incident can happen, and to whom: the blade that was pulled before, one of the step's, or none. */
const WHERE: Readonly<
  Record<Incident, { readonly kinds: readonly StepKind[]; readonly whom: 'before' | 'own' | null }>
> = {
  leaked: { kinds: ['pull', 'unclamp'], whom: 'before' },
  torn: { kinds: ['pull', 'unclamp'], whom: 'before' },
  stuck: { kinds: ['pull', 'unclamp'], whom: 'before' },
  'vice-late': { kinds: ['pull', 'unclamp'], whom: 'before' },
  bent: { kinds: ['pull', 'unclamp'], whom: 'before' },
  dropped: { kinds: ['pull', 'unclamp'], whom: 'before' },
  cracked: { kinds: ['inspect', 'cold-out'], whom: 'own' },
  missing: { kinds: ['inspect'], whom: 'own' },
  'set-aside': { kinds: [], whom: null },
  'plates-hot': { kinds: ['pull'], whom: null },
  'door-open': { kinds: ['full-heat', 'pull'], whom: null },
  'power-cut': { kinds: ['full-heat', 'pull', 'temper-out'], whom: null },
  'controller-error': { kinds: ['full-heat'], whom: null },
  'coolant-out': { kinds: ['cold-out'], whom: null },
  'helper-gone': { kinds: ['pull'], whom: null },
}

const LEAST_AFTER_S = 3
const MOST_AFTER_S = 15

const pick = <T>(from: readonly T[], random: Random): T | undefined => from[Math.floor(random.uniform() * from.length)]

/** Returns the surprises of a practice, from its seed alone, in the order of its steps; none if none was asked for. */
export function surprisesOf(run: Pick<Run, 'drill' | 'steps' | 'people'>): Surprise[] {
  const { drill, steps, people } = run
  if (!drill) return []
  const random = createRandom(drill.seed)
  const { surprises, kinds } = DRILLS[drill.level]
  const possible = kinds.filter(kind => kind !== 'helper-gone' || people === 2)
  const taken = new Map<string, Surprise>()
  for (let tries = 0; tries < 50 * surprises && taken.size < surprises; tries++) {
    const incident = pick(possible, random)
    if (!incident) break
    const { kinds: at, whom } = WHERE[incident]
    const step = pick(
      steps.filter(one => at.includes(one.kind) && (whom !== 'before' || one.names.afterBladeId !== undefined)),
      random,
    )
    const afterS = LEAST_AFTER_S + random.uniform() * (MOST_AFTER_S - LEAST_AFTER_S)
    const luck = random.uniform()
    if (!step || taken.has(step.id) || [...taken.values()].some(one => one.incident === incident)) continue
    taken.set(step.id, {
      incident,
      stepId: step.id,
      afterS,
      bladeId: whomOf(step, whom, luck),
      seconds: lengthOf(incident),
    })
  }
  const order = new Map(steps.map((step, i) => [step.id, i]))
  return [...taken.values()].sort((a, b) => (order.get(a.stepId) ?? 0) - (order.get(b.stepId) ?? 0))
}

const whomOf = (step: RunStep, whom: 'before' | 'own' | null, luck: number): string | null => {
  if (whom === 'before') return step.names.afterBladeId ?? null
  return whom === 'own' ? (step.bladeIds[Math.floor(luck * step.bladeIds.length)] ?? null) : null
}

const lengthOf = (incident: Incident): number => {
  const { asks, usual } = INCIDENTS[incident]
  const list: readonly string[] = asks
  return list.includes('minutes') ? usual * 60 : list.includes('seconds') ? usual : 0
}

/** The surprises of a practice that have happened by now, each with its answer. A blade that is gone can have no more of them. */
export function happeningsAt(run: Pick<Run, 'drill' | 'steps' | 'people' | 'events'>, nowS: number): Happening[] {
  const surprises = surprisesOf(run)
  if (surprises.length === 0) return []
  const { confirmed, steps, incidents, gone } = runStateAt(run, nowS)
  const began = new Map(steps.map((step, i) => [step.id, i === 0 ? 0 : (confirmed[i - 1]?.atS ?? null)]))
  const free = [...incidents]
  return surprises.flatMap((surprise): Happening[] => {
    const from = began.get(surprise.stepId)
    const atS = from === null || from === undefined ? null : from + surprise.afterS
    if (atS === null || atS > nowS) return []
    const goneS = surprise.bladeId === null ? undefined : gone.get(surprise.bladeId)?.atS
    if (goneS !== undefined && goneS < atS) return []
    const found = free.findIndex(one => one.atS >= atS && answers(one, surprise))
    const answer = found < 0 ? null : (free.splice(found, 1)[0] ?? null)
    return [{ surprise, atS, answer }]
  })
}

const answers = ({ incident, bladeIds }: IncidentEvent, surprise: Surprise): boolean =>
  incident === surprise.incident && (surprise.bladeId === null || bladeIds.includes(surprise.bladeId))

/** Habit to train next. */
export type Habit = 'see' | 'quicker' | 'in-time' | 'not-early' | 'plates' | 'none'

export interface DrillReport {
  readonly happenings: readonly Happening[]
  /** Incidents that were called and had not happened. */
  readonly imagined: number
  /** Each pull against the best possible; a soak that is off by less than nothing was too short. */
  readonly pulls: readonly DrillPull[]
  readonly habit: Habit
}

/** A pull of a practice: what the blade soaked, what it would have at best, and how much sooner than the plates allow it came, s. */
export interface DrillPull {
  readonly bladeId: string
  readonly soakedS: number
  readonly bestS: number
  readonly offS: number
  readonly tooSoonS: number
}

/** A practice beside the best possible, and what to train next. */
export function reportOf(run: Run): DrillReport {
  const endS = run.events.at(-1)?.atS ?? 0
  const happenings = happeningsAt(run, endS)
  const answered = new Set(happenings.flatMap(one => one.answer?.id ?? []))
  const { incidents } = runStateAt(run, endS)
  const [best, tooSoon] = [bestSoaks(run), tooSoonOf(run)]
  const pulls = recordOf(run).flatMap(({ blade, soakedS }) => {
    const bestS = best.get(blade.bladeId)
    if (soakedS === null || bestS === undefined) return []
    return [
      { bladeId: blade.bladeId, soakedS, bestS, offS: soakedS - bestS, tooSoonS: tooSoon.get(blade.bladeId) ?? 0 },
    ]
  })
  return {
    happenings,
    imagined: run.drill ? incidents.filter(one => !answered.has(one.id)).length : 0,
    pulls,
    habit: habitOf(happenings, pulls),
  }
}

/** Returns the soak of each blade if nobody is late: its own soak, and no sooner than door, operator and plates allow, s. */
function bestSoaks({ steps, blades, people }: Run): ReadonlyMap<string, number> {
  const best = new Map<string, number>()
  let beforeS: number | null = null
  for (const { kind, wait } of steps) {
    if (kind === 'load') beforeS = null
    if (wait?.kind !== 'soak') continue
    const blade = blades.find(one => one.bladeId === wait.bladeId)
    if (!blade) continue
    const ownS: number = blade.lagS + blade.soakMin * 60
    const atS: number =
      beforeS === null ? ownS : Math.max(ownS, beforeS + (people === 2 ? wait.apartS : wait.apartAloneS))
    best.set(wait.bladeId, atS - blade.lagS)
    beforeS = atS
  }
  return best
}

/** Pulls that came sooner after the one before than door, hands and plates allow: the plates were hotter than planned, s. */
function tooSoonOf(run: Run): ReadonlyMap<string, number> {
  const { confirmed, people } = runStateAt(run, 0)
  const tooSoon = new Map<string, number>()
  let beforeS: number | null = null
  for (const { step, atS } of confirmed) {
    if (step.kind === 'load') beforeS = null
    if (step.wait?.kind !== 'soak') continue
    const apartS = people === 2 ? step.wait.apartS : step.wait.apartAloneS
    if (beforeS !== null) tooSoon.set(step.wait.bladeId, Math.max(0, apartS - (atS - beforeS)))
    beforeS = atS
  }
  return tooSoon
}

function habitOf(happenings: readonly Happening[], pulls: DrillReport['pulls']): Habit {
  const { answeredS, lateS, earlyS } = DRILL_GOOD
  if (happenings.some(one => one.answer === null)) return 'see'
  if (happenings.some(one => (one.answer?.atS ?? 0) - one.atS > answeredS)) return 'quicker'
  if (pulls.some(pull => pull.offS < -earlyS)) return 'not-early'
  if (pulls.some(pull => pull.tooSoonS > earlyS)) return 'plates'
  const mean = pulls.reduce((sum, pull) => sum + Math.max(0, pull.offS), 0) / Math.max(1, pulls.length)
  return mean > lateS ? 'in-time' : 'none'
}
