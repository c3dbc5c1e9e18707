import { calendarOf } from './calendar'
import { networkOf } from './network'
import { type createRuns, isRun } from './partitions'
import type { DayGroup, DayProblem, RunRefusal } from './problem'
import { createSearch } from './search'

/** Which limit makes a day impossible. */
export type WhyNotCode =
  | RunRefusal['code']
  | 'no-hours'
  | 'temper-oven-too-small'
  | 'no-cold-box'
  | 'cold-box-too-small'
  | 'temper-too-hot'
  | 'cold-delay'
  | 'cold-hold'
  | 'to-temper'
  | 'overrun'
  | 'deadline'
  | 'hours-too-short'
  | 'none-found'

export interface WhyNot {
  readonly code: WhyNotCode
  readonly groups: readonly string[]
  /** What the limit is, in its own unit: packets, min or °C. */
  readonly amount: number
}

const ALONE_VISITS = 40_000
const NO_LIMIT_MIN = 1e6

/** Why one of the groups cannot be done even by itself; null where each can. */
export function whyNot(problem: DayProblem, runOf: ReturnType<typeof createRuns>): WhyNot | null {
  const all = problem.groups.map(({ id }) => id)
  if (calendarOf(problem.work).endMin <= 0) return { code: 'no-hours', groups: all, amount: 0 }
  for (const group of problem.groups) {
    const why = tooLittleFor(problem, group)
    if (why) return { ...why, groups: [group.id] }
  }
  for (const [atom, indices] of problem.atoms.entries()) {
    const groups = indices.flatMap(i => problem.groups[i]?.id ?? [])
    const run = runOf([atom])
    if (!isRun(run)) return { ...run, groups }
    if (canAlone(problem, runOf, atom)) continue
    for (const [code, amountOf, without] of LIMITS) {
      const eased = without(problem)
      if (canAlone(eased, runOf, atom))
        return { code, groups, amount: Math.min(...indices.map(i => amountOf(problem.groups[i] as DayGroup, problem))) }
    }
    return { code: 'hours-too-short', groups, amount: 0 }
  }
  return null
}

function tooLittleFor(problem: DayProblem, group: DayGroup): Omit<WhyNot, 'groups'> | null {
  const oven = problem.temperOven ?? problem.oven
  if (group.count > oven.packets) return { code: 'temper-oven-too-small', amount: oven.packets }
  if (group.cold && problem.coldBoxPackets === 0) return { code: 'no-cold-box', amount: 0 }
  if (group.cold && group.count > problem.coldBoxPackets)
    return { code: 'cold-box-too-small', amount: problem.coldBoxPackets }
  const tooHot = group.tempers.find(({ atC }) => !Number.isFinite(oven.transMin(20, atC)))
  return tooHot ? { code: 'temper-too-hot', amount: tooHot.atC } : null
}

function canAlone(problem: DayProblem, runOf: ReturnType<typeof createRuns>, atom: number): boolean {
  const run = runOf([atom])
  if (!isRun(run)) return false
  const network = networkOf(problem, [run], [problem.notBeforeMin?.[atom] ?? 0])
  const search = createSearch(network, calendarOf(problem.work), {
    ovens: [problem.oven.packets, problem.temperOven?.packets ?? 0],
    box: problem.coldBoxPackets,
  })
  const asked = { runs: new Set([0]), fixed: [], beforeMin: Number.POSITIVE_INFINITY, first: true }
  return search.find({ ...asked, budget: { left: ALONE_VISITS } }).starts !== null
}

const eachGroup = (problem: DayProblem, change: (group: DayGroup) => DayGroup): DayProblem => ({
  ...problem,
  groups: problem.groups.map(change),
})

/** Limits one can do without to find the one that makes it impossible, the easiest to mend first. */
const LIMITS: readonly (readonly [
  code: WhyNotCode,
  amountOf: (group: DayGroup, problem: DayProblem) => number,
  without: (problem: DayProblem) => DayProblem,
])[] = [
  [
    'deadline',
    group => group.deadlineMin ?? Number.POSITIVE_INFINITY,
    problem => eachGroup(problem, group => ({ ...group, deadlineMin: null })),
  ],
  ['overrun', (_, { overrunMin }) => overrunMin, problem => ({ ...problem, overrunMin: NO_LIMIT_MIN })],
  [
    'to-temper',
    group => group.maxToTemperMin,
    problem => eachGroup(problem, group => ({ ...group, maxToTemperMin: NO_LIMIT_MIN })),
  ],
  [
    'cold-delay',
    group => group.cold?.delayMin ?? Number.POSITIVE_INFINITY,
    problem =>
      eachGroup(problem, group => ({ ...group, cold: group.cold && { ...group.cold, delayMin: NO_LIMIT_MIN } })),
  ],
  [
    'cold-hold',
    group => group.cold?.holdMin[1] ?? Number.POSITIVE_INFINITY,
    problem =>
      eachGroup(problem, group => ({
        ...group,
        cold: group.cold && { ...group.cold, holdMin: [group.cold.holdMin[0], NO_LIMIT_MIN] },
      })),
  ],
]
