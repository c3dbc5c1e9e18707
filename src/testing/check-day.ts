import type { DayPlan } from '../core/day/day-plan'
import type { RuleGroup, RuleOven, RuleShop } from '../core/day/rule-problem'

/**
 * The rules of the day plan once more, written from the design and not from the planner, so that a plan can be held against them.
 * All times in minutes.
 */
const GRID = 5
const ceil = (min: number) => Math.ceil(min / GRID - 1e-9) * GRID
const floor = (min: number) => Math.floor(min / GRID + 1e-9) * GRID

export const transMin = (oven: RuleOven, a: number, b: number): number => {
  if (a === b) return 0
  return ceil(
    b > a
      ? oven.tauHeatMin * Math.log((oven.tInfC - a) / (oven.tInfC - b))
      : oven.tauCoolMin * Math.log((a - 20) / (Math.max(b, 25) - 20)),
  )
}

export interface LoadShape {
  readonly austenitizeC: number
  readonly entryC: number
  /** From the start of the load's task to the start of its pull task, and the length of that. */
  readonly pullAfterMin: number
  readonly pullMin: number
}

/** A load by the rules; null where it cannot be. */
export function loadShape(shop: RuleShop, groups: readonly RuleGroup[]): LoadShape | null {
  const austenitizeC = Math.max(...groups.map(g => g.austenitizeC[0]))
  if (groups.some(g => g.austenitizeC[1] < austenitizeC)) return null
  if (groups.reduce((n, g) => n + g.count, 0) > shop.oven.packets) return null
  const entryC = Math.min(austenitizeC, ...groups.map(g => g.entryC ?? austenitizeC))
  const begin = 5 + transMin(shop.oven, entryC, austenitizeC) + Math.max(...groups.map(g => g.equaliseMin))
  const blades = groups.flatMap(g => Array<readonly [number, number]>(g.count).fill(g.soakMin))
  blades.sort((x, y) => x[1] - y[1] || x[0] - y[0])
  const free = Array<number>(shop.plates.sets).fill(0)
  const inRow = Array<number>(shop.plates.sets).fill(0)
  let [hands, first, last] = [0, -1, 0]
  for (const [least, most] of blades) {
    const ready = Math.max(least, hands)
    const times = free.map((at, s) => {
      const restNeeded = (inRow[s] ?? 0) >= shop.plates.maxRun && ready - at < shop.plates.restMin
      return Math.max(ready, restNeeded ? at + shop.plates.restMin : at)
    })
    const pull = Math.min(...times)
    const set = times.indexOf(pull)
    if (pull > most) return null
    inRow[set] = pull - (free[set] ?? 0) >= shop.plates.restMin ? 1 : (inRow[set] ?? 0) + 1
    free[set] = pull + shop.plates.pressMin
    hands = pull + shop.plates.handleMin
    if (first < 0) first = pull
    last = Math.max(last, pull + shop.plates.pressMin)
  }
  const pullAfterMin = floor(begin + first)
  return { austenitizeC, entryC, pullAfterMin, pullMin: ceil(begin + last) - pullAfterMin }
}

type Must = (holds: boolean, what: string) => void

/** Every task on the grid and in hours; at each moment one of them, or two where a helper is there. */
function checkHands({ work, helper = [] }: RuleShop, tasks: DayPlan['tasks'], must: Must) {
  for (const t of tasks) {
    must(t.startMin % GRID === 0 && t.endMin % GRID === 0, `${t.kind} off the grid`)
    must(
      work.some(([from, to]) => t.startMin >= from && t.endMin <= to),
      `${t.kind} of ${t.groups} out of hours`,
    )
    if (t.kind !== 'pull') must(t.endMin - t.startMin === 5, `${t.kind} is not 5 min`)
    const going = tasks.filter(other => other.startMin <= t.startMin && other.endMin > t.startMin)
    const names = going.map(other => `${other.kind} of ${other.groups}`).join(' and ')
    must(going.length <= 2 && new Set(going.map(other => other.byHelper)).size === going.length, `${names} at once`)
    for (const other of going) {
      const [from, to] = [Math.max(t.startMin, other.startMin), Math.min(t.endMin, other.endMin)]
      const isHelped = helper.some(([opens, closes]) => opens <= from && closes >= to)
      must(other === t || isHelped, `${names} at once with no helper`)
    }
  }
}

/** Returns the rules that a plan breaks, in words for the reader of a failed test. */
export function brokenRules(shop: RuleShop, groups: readonly RuleGroup[], plan: DayPlan): string[] {
  const broken: string[] = []
  const must: Must = (holds, what) => {
    if (!holds) broken.push(what)
  }
  const { tasks } = plan
  const group = (id: string) => groups.find(g => g.id === id) as RuleGroup
  const taskOf = (kind: string, id: string, round?: number) =>
    tasks.filter(t => t.kind === kind && t.groups.includes(id) && (round === undefined || t.rounds?.[id] === round))
  const one = (kind: string, id: string, round?: number) => {
    const found = taskOf(kind, id, round)
    must(found.length === 1, `${id} has ${found.length} times ${kind} ${round ?? ''}`)
    return found[0] ?? { startMin: Number.NaN, endMin: Number.NaN }
  }
  checkHands(shop, tasks, must)
  type Stay = { from: number; to: number; inC: number; outC: number; what: string }
  const hot: Stay[] = []
  const tempers: Stay[] = []
  plan.loads.forEach((load, index) => {
    const shape = loadShape(shop, load.groups.map(group))
    must(shape !== null, `load ${load.groups} cannot be`)
    const into = tasks.find(t => t.kind === 'load' && t.load === index)
    const pull = tasks.find(t => t.kind === 'pull' && t.load === index)
    must(into !== undefined && pull !== undefined, `load ${index} has no task`)
    if (!shape || !into || !pull) return
    must(
      load.austenitizeC === shape.austenitizeC && load.entryC === shape.entryC,
      `load ${index} at other temperatures`,
    )
    must(pull.startMin === into.startMin + shape.pullAfterMin, `pull of ${load.groups} is not at its time`)
    must(pull.endMin - pull.startMin === shape.pullMin, `pull of ${load.groups} has another length`)
    hot.push({ from: into.startMin, to: pull.endMin, inC: shape.entryC, outC: shape.austenitizeC, what: 'load' })
  })
  must(
    plan.loads
      .flatMap(l => l.groups)
      .sort()
      .join() ===
      groups
        .map(g => g.id)
        .sort()
        .join(),
    'loads are not a partition',
  )
  for (const g of groups) {
    const pull = one('pull', g.id)
    let [from, ready] = [pull.endMin, pull.endMin + 10]
    if (g.cold) {
      const [into, out] = [one('cold-in', g.id), one('cold-out', g.id)]
      must(
        into.startMin >= pull.endMin + 5 && into.startMin <= pull.startMin + 5 + g.cold.delayMin,
        `${g.id} cold delay`,
      )
      const held = out.startMin - into.startMin
      must(held >= g.cold.holdMin[0] && held <= g.cold.holdMin[1], `${g.id} cold hold`)
      ;[from, ready] = [out.endMin, out.endMin + 20]
    } else must(taskOf('cold-in', g.id).length === 0, `${g.id} in the cold without need`)
    for (let round = 1; round <= g.rounds; round++) {
      const [into, out] = [one('temper-in', g.id, round), one('temper-out', g.id, round)]
      must(into.startMin >= ready, `${g.id} temper ${round} too soon`)
      if (round === 1) must(into.startMin <= from + g.maxToTemperMin, `${g.id} stands too long`)
      const held = out.startMin - into.startMin
      must(held >= g.temper.holdMin && held <= g.temper.holdMin + shop.overrunMin, `${g.id} temper ${round} hold`)
      ready = out.endMin + shop.coolBetweenMin
      if (round === g.rounds && g.deadlineMin !== null) must(out.endMin <= g.deadlineMin, `${g.id} past its deadline`)
    }
  }
  for (const into of tasks.filter(t => t.kind === 'temper-in')) {
    const out = tasks.find(
      t =>
        t.kind === 'temper-out' &&
        t.groups.some(id => into.groups.includes(id) && t.rounds?.[id] === into.rounds?.[id]),
    )
    must(out?.groups.length === into.groups.length, 'a closing is not emptied at once')
    const inside = into.groups.map(group)
    const first = inside[0] as RuleGroup
    must(
      inside.every(g => g.temper.atC === first.temper.atC && g.temper.holdMin === first.temper.holdMin),
      'a closing mixes tempers',
    )
    const room = (shop.temperOven ?? shop.oven).packets
    must(inside.reduce((n, g) => n + g.count, 0) <= room, 'a closing holds too many')
    const stay = {
      from: into.startMin,
      to: out?.endMin ?? 0,
      inC: first.temper.atC,
      outC: first.temper.atC,
      what: 'temper',
    }
    ;(shop.temperOven ? tempers : hot).push(stay)
  }
  for (const [oven, stays] of [
    [shop.oven, hot],
    [shop.temperOven ?? shop.oven, tempers],
  ] as const) {
    stays.sort((a, b) => a.from - b.from)
    stays.forEach((stay, i) => {
      const before = stays[i - 1]
      const from = before ? before.to + transMin(oven, before.outC, stay.inC) : transMin(oven, 20, stay.inC)
      must(stay.from >= from, `${stay.what} at ${stay.from} before its oven is there at ${from}`)
    })
  }
  const inBox = tasks.filter(t => t.kind === 'cold-in')
  for (const t of inBox) {
    const there = inBox.filter(other => {
      const out = one('cold-out', other.groups[0] ?? '')
      return other.startMin <= t.startMin && out.endMin > t.startMin
    })
    const count = there.flatMap(o => o.groups).reduce((n, id) => n + group(id).count, 0)
    must(count <= shop.coldBoxPackets, `the box holds ${count}`)
  }
  must(Math.max(...tasks.map(t => t.endMin)) === plan.finishMin, 'another finish')
  return broken
}
