import { AMBIENT_C } from '../oven/chamber'
import { calendarOf } from './calendar'
import { LIMITS, type WhyNot } from './limits'
import { networkOf } from './network'
import { type createRuns, isRun } from './partitions'
import { loadBetween } from './parts'
import { capacityOf, type DayGroup, type DayProblem, temperOvenOf } from './problem'
import { createSearch } from './search'

const ALONE_VISITS = 40_000

/** Why one of the groups cannot be done even by itself; null where each can. */
export function whyNot(problem: DayProblem, runOf: ReturnType<typeof createRuns>): WhyNot | null {
  const all = problem.groups.map(({ id }) => id)
  if (all.length === 0) return { code: 'no-groups', groups: [], amount: 0 }
  if (calendarOf(problem.work).endMin <= (problem.nowMin ?? 0)) return { code: 'no-hours', groups: all, amount: 0 }
  for (const group of problem.groups) {
    const why = tooLittleFor(problem, group)
    if (why) return { ...why, groups: [group.id] }
  }
  for (const [atom, indices] of problem.atoms.entries()) {
    const groups = indices.flatMap(i => problem.groups[i] ?? [])
    const ids = groups.map(({ id }) => id)
    const run = runOf([atom])
    if (!isRun(run)) return { ...run, groups: ids }
    if (canAlone(problem, runOf, atom)) continue
    const limit = LIMITS.find(({ without }) => canAlone(without(problem), runOf, atom))
    return limit
      ? { code: limit.code, groups: ids, amount: Math.min(...groups.map(group => limit.of(group, problem))) }
      : { code: 'none-found', groups: ids, amount: 0 }
  }
  return null
}

function tooLittleFor(problem: DayProblem, group: DayGroup): Omit<WhyNot, 'groups'> | null {
  const oven = temperOvenOf(problem)
  if (group.tempers.length > 0 && group.count > oven.packets)
    return { code: 'temper-oven-too-small', amount: oven.packets }
  if (group.cold && problem.coldBoxPackets === 0) return { code: 'no-cold-box', amount: 0 }
  if (group.cold && group.count > problem.coldBoxPackets)
    return { code: 'cold-box-too-small', amount: problem.coldBoxPackets }
  const tooHot = group.tempers.find(({ atC }) => !Number.isFinite(oven.transMin(AMBIENT_C, atC)))
  return tooHot ? { code: 'temper-too-hot', amount: tooHot.atC } : null
}

function canAlone(problem: DayProblem, runOf: ReturnType<typeof createRuns>, atom: number): boolean {
  const run = runOf([atom])
  if (!isRun(run)) return false
  const network = networkOf(problem, [run], [loadBetween(problem, [atom])])
  const search = createSearch(network, calendarOf(problem.work, problem.nowMin), capacityOf(problem))
  const asked = { runs: new Set([0]), fixed: [], beforeMin: Number.POSITIVE_INFINITY, first: true }
  return search.find({ ...asked, budget: { left: ALONE_VISITS } }).starts !== null
}
