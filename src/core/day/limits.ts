import type { DayGroup, DayProblem, RunRefusal, Window } from './problem'

/** Which limit makes a day impossible. */
export const WHY_NOT_CODES = [
  'windows-apart',
  'oven-too-small',
  'soak-too-long',
  'too-hot',
  'no-plan-for-load',
  'no-hours',
  'no-groups',
  'temper-oven-too-small',
  'no-cold-box',
  'cold-box-too-small',
  'temper-too-hot',
  'cold-delay',
  'cold-hold',
  'to-temper',
  'overrun',
  'deadline',
  'start-set',
  'hours-too-short',
  'none-found',
] as const satisfies readonly (RunRefusal['code'] | string)[]
export type WhyNotCode = (typeof WHY_NOT_CODES)[number]

export interface WhyNot {
  readonly code: WhyNotCode
  readonly groups: readonly string[]
  /** The limit in its own unit: packets, min or °C. */
  readonly amount: number
  /** Number of groups that a plan was found for; absent where it is not a matter of hours. */
  readonly fits?: number
}

/** A limit one can do without to see whether it is the one that makes a day impossible. */
export interface Limit {
  readonly code: WhyNotCode
  /** Returns the limit of a group, min; infinite if there is none. */
  readonly of: (group: DayGroup, problem: DayProblem) => number
  readonly without: (problem: DayProblem) => DayProblem
}

const NO_LIMIT_MIN = 1e6
const DAY_MIN = 1440
/** So many days more of the same hours are a plan that surely can. */
const MORE_DAYS = 10

const eachGroup = (problem: DayProblem, change: (group: DayGroup) => DayGroup): DayProblem => ({
  ...problem,
  groups: problem.groups.map(change),
})

/** The hours of the last day again and again. */
function longer(work: readonly Window[]): Window[] {
  const lastDay = Math.floor((work.at(-1)?.[0] ?? 0) / DAY_MIN)
  const last = work.filter(([from]) => Math.floor(from / DAY_MIN) === lastDay)
  const more = Array.from({ length: MORE_DAYS }, (_, i) =>
    last.map(([from, to]): Window => [from + (i + 1) * DAY_MIN, to + (i + 1) * DAY_MIN]),
  )
  return [...work, ...more.flat()]
}

/** The limits of a day, the easiest to mend first. */
export const LIMITS: readonly Limit[] = [
  {
    code: 'deadline',
    of: group => group.deadlineMin ?? Number.POSITIVE_INFINITY,
    without: problem => eachGroup(problem, group => ({ ...group, deadlineMin: null })),
  },
  {
    code: 'start-set',
    of: (_, { notAfterMin }) => Math.min(...(notAfterMin ?? [])),
    without: problem => ({ ...problem, notAfterMin: [] }),
  },
  {
    code: 'hours-too-short',
    of: (_, { work }) => work.at(-1)?.[1] ?? 0,
    without: problem => ({ ...problem, work: longer(problem.work) }),
  },
  {
    code: 'overrun',
    of: (_, { overrunMin }) => overrunMin,
    without: problem => ({ ...problem, overrunMin: NO_LIMIT_MIN }),
  },
  {
    code: 'to-temper',
    of: group => group.maxToTemperMin,
    without: problem => eachGroup(problem, group => ({ ...group, maxToTemperMin: NO_LIMIT_MIN })),
  },
  {
    code: 'cold-delay',
    of: group => group.cold?.delayMin ?? Number.POSITIVE_INFINITY,
    without: problem =>
      eachGroup(problem, group => ({ ...group, cold: group.cold && { ...group.cold, delayMin: NO_LIMIT_MIN } })),
  },
  {
    code: 'cold-hold',
    of: group => group.cold?.holdMin[1] ?? Number.POSITIVE_INFINITY,
    without: problem =>
      eachGroup(problem, group => ({
        ...group,
        cold: group.cold && { ...group.cold, holdMin: [group.cold.holdMin[0], NO_LIMIT_MIN] },
      })),
  },
  {
    code: 'hours-too-short',
    of: (_, { work }) => work.at(-1)?.[1] ?? 0,
    // Hands round the clock.
    without: problem => ({ ...problem, work: [[0, (problem.work.at(-1)?.[1] ?? 0) + MORE_DAYS * DAY_MIN]] }),
  },
]
