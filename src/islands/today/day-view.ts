import { addMinutes } from 'date-fns/addMinutes'
import { format } from 'date-fns/format'
import type { Answer } from '../../core/contract/questions'
import type { PlannedAct } from '../../core/day/went'
import { outward } from '../../core/numeric/round'
import type { Batch } from '../../core/shop/batch'
import type { Workshop } from '../../core/shop/workshop'
import { DAY_MIN, dayOfMinute, dayStartMin, fullHours } from '../../core/units/time'
import { clock } from '../../ui/dates'
import type { BoardBlock, BoardLane, DayBoardProps } from '../../ui/drawings/day/board'
import { shortTask, stayWords } from '../../words/day'
import { counted, marksOfBlades } from '../../words/lists'
import type { Speaker } from '../../words/speaker'
import type { Day, DayPlan } from './use-day'

const MOST_DAYS = 5

/** The wall's clock at a minute of the plan, and with its day where that is not the first. */
export const clockAt = (origin: Date, min: number): string => clock(addMinutes(origin, min))
export const dayAndClock = (origin: Date, min: number): string =>
  `${min < DAY_MIN ? '' : `${format(addMinutes(origin, min), 'EEE')} `}${clockAt(origin, min)}`

/** A night's work belongs to the evening it follows from as well: who works past midnight sees it before midnight, h. */
const NIGHT_ENDS_MIN = 300

/** Returns the operator's tasks on a day and in the night after it, from now on. */
export const tasksOfDay = (tasks: DayPlan['tasks'], index: number, nowMin: number): DayPlan['tasks'] =>
  tasks.filter(
    ({ startMin, endMin }) =>
      startMin >= dayStartMin(index) &&
      startMin < dayStartMin(index + 1) + NIGHT_ENDS_MIN &&
      (index > 0 || endMin > nowMin),
  )

/** A plan's acts of its first day as they are held against what was done: by blade, one for each round. */
export const actsOf = ({ tasks }: Pick<DayPlan, 'tasks'>, groups: Answer<'day'>['groups']): PlannedAct[] =>
  tasks
    .filter(({ startMin }) => startMin < DAY_MIN)
    .flatMap(({ kind, groups: ids, rounds, startMin }) => {
      const own = groups.filter(group => ids.includes(group.id))
      const keys = [...new Set(own.map(group => `${group.batchId} ${rounds?.[group.id] ?? 0}`))]
      return keys.map((key): PlannedAct => {
        const of = own.filter(group => `${group.batchId} ${rounds?.[group.id] ?? 0}` === key)
        const [first] = of
        return {
          kind,
          batchId: first?.batchId ?? '',
          bladeIds: of.flatMap(group => group.bladeIds),
          round: rounds?.[first?.id ?? ''] ?? 0,
          startMin,
        }
      })
    })

/** Who a group is: its batch's first word where several batches are planned, and its marks. */
export function namesOf({ groups }: Pick<Answer<'day'>, 'groups'>, batches: readonly Batch[]) {
  const several = new Set(groups.map(({ batchId }) => batchId)).size > 1
  return (ids: readonly string[]): string => {
    const byBatch = new Map<string, string[]>()
    for (const id of ids) {
      const group = groups.find(one => one.id === id)
      if (group) byBatch.set(group.batchId, [...(byBatch.get(group.batchId) ?? []), ...group.bladeIds])
    }
    return [...byBatch]
      .map(([batchId, bladeIds]) => {
        const batch = batches.find(one => one.id === batchId)
        if (!batch) return '?'
        const marks = marksOfBlades(batch, [...new Set(bladeIds)])
        return several ? `${batch.name.split(' ')[0]} ${marks}` : marks
      })
      .join('; ')
  }
}

export type NameOf = ReturnType<typeof namesOf>

/** The days on which hands do something, today first; at most five. */
export const daysWithTasks = ({ tasks }: Pick<DayPlan, 'tasks'>, nowMin: number): number[] =>
  [
    ...new Set([
      dayOfMinute(nowMin),
      ...tasks.filter(task => task.endMin > nowMin).map(task => dayOfMinute(task.startMin)),
    ]),
  ]
    .sort((a, b) => a - b)
    .slice(0, MOST_DAYS)

interface BoardSources {
  readonly plan: DayPlan
  readonly day: Day
  readonly shop: Workshop
  readonly say: Speaker
  readonly nameOf: NameOf
  /** Which day, from 0. */
  readonly index: number
}

/** Returns the drawing of one day. */
export function boardOf({
  plan,
  day,
  shop,
  say,
  nameOf,
  index,
}: BoardSources): Omit<DayBoardProps, 'onMove' | 'onOpen'> {
  const { origin, nowMin, work } = day
  const [start, end] = [dayStartMin(index), dayStartMin(index + 1)]
  const within = <T extends { readonly fromMin: number; readonly toMin: number }>(items: readonly T[]) =>
    items.filter(item => item.toMin > start && item.fromMin < end)
  const tasks = within(plan.tasks.map(task => ({ ...task, fromMin: task.startMin, toMin: task.endMin })))
  const hours = work.filter(([from, to]) => to > start && from < end)
  const used = plan.lanes.filter(lane => within(lane.stays).length > 0)
  const edges = [
    ...hours.flat(),
    ...tasks.flatMap(task => [task.fromMin, task.toMin]),
    ...used.flatMap(lane => (lane.onMin === null ? [] : [lane.onMin])),
  ].filter(min => min >= start && min <= end)
  const hoursOn = outward({ min: Math.min(...edges, end) - 20, max: Math.max(...edges, start) + 20 }, 60)
  const [fromMin, toMin] = [Math.max(start, hoursOn.min), Math.min(end, hoursOn.max)]
  const block = (of: Omit<BoardBlock, 'batchId'>, batchId: string | null = null): BoardBlock => ({ ...of, batchId })
  const lanes: BoardLane[] = used.map(lane => {
    const oven = shop.ovens.find(({ id }) => id === lane.ovenId)
    const hottest = Math.max(...within(lane.stays).map(stay => stay.atC))
    return {
      kind: hottest > 500 ? 'hot' : 'oven',
      name: oven?.name ?? '',
      note: `up to ${say.t(hottest)}`,
      curve: lane.curve,
      blocks: within(lane.stays).map((stay, i) => {
        const load = plan.loads.find(
          one => one.groups.some(id => stay.groups.includes(id)) && one.austenitizeC === stay.atC,
        )
        return block(
          {
            id: `${lane.ovenId} ${i}`,
            fromMin: stay.fromMin,
            toMin: stay.toMin,
            title: [stayWords(stay), nameOf(stay.groups)].filter(Boolean).join(', '),
            short: stayWords(stay) || bladesIn(stay.groups, day),
            note: say.t(stay.atC),
          },
          stay.rounds === null && load ? batchIdOf(stay.groups[0], day) : null,
        )
      }),
    }
  })
  const handsBlocks = (kinds: readonly string[]) =>
    tasks
      .filter(task => kinds.includes(task.kind))
      .map((task, i) =>
        block({
          id: `${task.kind} ${i}`,
          fromMin: task.fromMin,
          toMin: task.toMin,
          title: nameOf(task.groups),
          short: '',
          note: '',
        }),
      )
  const cold = plan.tasks
    .filter(task => task.kind === 'cold-out')
    .flatMap(out => {
      const into = plan.tasks.find(task => task.kind === 'cold-in' && task.groups.some(id => out.groups.includes(id)))
      return into ? [{ groups: out.groups, fromMin: into.startMin, toMin: out.endMin }] : []
    })
  lanes.push({
    kind: 'plates',
    name: 'Plates',
    note: shop.plates.sets === 2 ? 'two sets' : '',
    curve: [],
    blocks: handsBlocks(['pull']),
  })
  if (within(cold).length > 0)
    lanes.push({
      kind: 'cold',
      name: 'Cold',
      note: '',
      curve: [],
      blocks: within(cold).map((stay, i) =>
        block({
          id: `cold ${i}`,
          fromMin: stay.fromMin,
          toMin: stay.toMin,
          title: nameOf(stay.groups),
          short: bladesIn(stay.groups, day),
          note: '',
        }),
      ),
    })
  const handsLane = (name: string, byHelper: boolean, there: readonly (readonly [number, number])[]): BoardLane => ({
    kind: 'hands',
    name,
    note: there.map(([from, to]) => `${clockAt(origin, from)} to ${clockAt(origin, to)}`).join(', ') || 'no hours',
    curve: [],
    blocks: tasks
      .filter(task => task.byHelper === byHelper)
      .map((task, i) =>
        block({
          id: `${name} ${i}`,
          fromMin: task.fromMin,
          toMin: task.toMin,
          title: shortTask(task.kind),
          short: '',
          note: nameOf(task.groups),
        }),
      ),
  })
  lanes.push(handsLane('You', false, hours))
  const helped = day.helper.filter(([from, to]) => to > start && from < end)
  if (helped.length > 0) lanes.push(handsLane('Helper', true, helped))
  const waits = within(plan.waits).filter(wait => wait.kind === 'to-temper' && wait.toMin - wait.fromMin >= 30)
  return {
    fromMin,
    toMin,
    ticks: fullHours(fromMin, toMin).map(min => ({ min, text: clockAt(origin, min) })),
    now: nowMin >= fromMin && nowMin <= toMin ? { min: nowMin, text: clockAt(origin, nowMin) } : null,
    away: awayOf(hours, fromMin, toMin),
    lanes,
    waits: waits.map(wait => ({
      fromMin: wait.fromMin,
      toMin: wait.toMin,
      text: `${nameOf(wait.groups)}: waiting ${say.minutes(wait.toMin - wait.fromMin)} of at most ${say.minutes(wait.limitMin)}`,
    })),
  }
}

/** How many blades, where their marks have no room. */
const bladesIn = (ids: readonly string[], { answer }: Day): string =>
  counted(
    ids.reduce((sum, id) => sum + (answer?.groups.find(group => group.id === id)?.bladeIds.length ?? 0), 0),
    'blade',
  )

const batchIdOf = (group: string | undefined, { answer }: Day): string | null =>
  answer?.groups.find(({ id }) => id === group)?.batchId ?? null

/** When no hands are there. */
function awayOf(hours: readonly (readonly [number, number])[], fromMin: number, toMin: number) {
  const gaps: [number, number][] = []
  let at = fromMin
  for (const [from, to] of hours) {
    if (from > at) gaps.push([at, from])
    at = Math.max(at, to)
  }
  if (at < toMin) gaps.push([at, toMin])
  return gaps
}
