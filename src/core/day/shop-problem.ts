import { PACE } from '../../data/pace'
import type { BladeProgress } from '../job/blade-progress'
import { standing } from '../job/blade-state'
import { chamberOf } from '../job/chambers'
import { type HeatBefore, heatsBefore } from '../job/heats-before'
import { type HotTimes, hotTimesOf } from '../job/hot-times'
import { bowLimitMm } from '../job/inspect'
import { inspectMinOf } from '../job/pace'
import { together } from '../job/together'
import { type BatchBlade, bladesOf, tempersOf } from '../job/tray'
import { coolDownMin, heatUpMin } from '../oven/chamber'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'
import {
  ACT_MIN,
  type BeforeHeat,
  type DayGroup,
  type DayProblem,
  downToGrid,
  type HotTask,
  type Progress,
  type RunAnswer,
  upToGrid,
  type Window,
} from './problem'
import { coldWithinMin, temperWithinMin } from './standing-limits'

/** Where a blade stands, since when, and when it was loaded, min. */
export interface BladeAt extends Pick<BladeProgress, 'kind' | 'round'> {
  readonly atMin: number
  readonly loadedMin: number
}

/** A batch on a day, times in min from the day's origin. */
export interface DayBatch {
  readonly batch: Batch
  /** Where its blades stand, by id; those not begun are not in it. */
  readonly progress: ReadonlyMap<string, BladeAt>
  /** A run of it has begun and is not over. */
  readonly running: boolean
  readonly notBeforeMin: number
  readonly notAfterMin: number
  readonly deadlineMin: number | null
  /** Blades in a heat before their hardening, by id, and since when, min; absent: none. */
  readonly heatedInMin?: ReadonlyMap<string, number>
}

export interface ShopDay {
  readonly batches: readonly DayBatch[]
  readonly shop: Workshop
  readonly work: readonly Window[]
  /** When a second pair of hands is there. */
  readonly helper: readonly Window[]
  /** When electricity costs less. */
  readonly cheap: readonly Window[]
  readonly nowMin: number
  readonly heatsAlone: boolean
}

/** Blades of one batch that are one group of the day. */
export interface ShopGroup {
  readonly id: string
  readonly batchId: string
  readonly blades: readonly BatchBlade[]
}

export interface ShopProblem {
  readonly problem: DayProblem
  readonly groups: readonly ShopGroup[]
  /** How the oven goes for the heats before, by their key: [min, °C]. */
  readonly pathOf: ReadonlyMap<string, HeatBefore['path']>
}

/** A tempering hold may run on so long until hands are back, min; so may the cold. Common practice, no published source. */
const OVERRUN_MIN = 960
/** Packets nobody counts: the loads of a batch are planned at its own benches. */
const ROOM_ENOUGH = 400

/** Blades of a batch that are at one place of their way: still to be hardened, in the oven, or past it. */
interface Part {
  readonly from: DayBatch
  /** The batch with these blades alone. */
  readonly batch: Batch
  readonly blades: readonly BatchBlade[]
  /** Past the oven: nothing of it is hot any more. */
  readonly going: boolean
  /** When they were loaded, where they are in the oven, min. */
  readonly begunMin: number | null
}

function partsOf(from: DayBatch): Part[] {
  const blades = standing(bladesOf(from.batch))
  const at = (blade: BatchBlade) => from.progress.get(blade.id)
  const part = (own: readonly BatchBlade[], going: boolean, begunMin: number | null): Part[] => {
    if (own.every(blade => isDone(blade, from))) return []
    const ids = new Set(own.map(blade => blade.id))
    const batch = { ...from.batch, blades: from.batch.blades.filter(blade => ids.has(blade.id)) }
    return [{ from, batch, blades: own, going, begunMin }]
  }
  const past = blades.filter(blade => at(blade) !== undefined)
  // Until the last is out of the oven the whole run is hot: those pulled already wait for the others, the next load is to come.
  const isHot = blades.some(blade => at(blade)?.kind === 'in-oven') || (from.running && past.length < blades.length)
  if (past.length > 0 && isHot) return part(blades, false, Math.min(...past.map(blade => at(blade)?.loadedMin ?? 0)))
  return [
    ...part(
      blades.filter(blade => at(blade) === undefined),
      false,
      null,
    ),
    ...groupsOf(past, from).flatMap(own => part(own, true, null)),
  ]
}

/** The day of a real workshop as the planner's question: each batch's loads as its Heat Line has them, its cold, its tempers. */
export function shopProblem(day: ShopDay): ShopProblem {
  const { shop } = day
  const temperId = shop.temperingOvenId ?? shop.hardeningOvenId
  const temperOven = Math.max(
    0,
    shop.ovens.findIndex(oven => oven.id === temperId),
  )
  const parts = day.batches.flatMap(partsOf)
  const groups: ShopGroup[] = []
  const dayGroups: DayGroup[] = []
  const atoms = parts.map(({ from, blades, going }) =>
    (going ? [blades] : bySteel(groupsOf(blades, null))).map(own => {
      const id = `${from.batch.id}~${groups.length}`
      groups.push({ id, batchId: from.batch.id, blades: own })
      return dayGroups.push(dayGroupOf(id, own, going ? from : null, from.deadlineMin)) - 1
    }),
  )
  const partOf = (group: number) => parts[atoms.findIndex(atom => atom.includes(group))]
  const ovens = shop.ovens.map(oven => dayOvenOf(oven))
  const pathOf = new Map<string, HeatBefore['path']>()
  return {
    groups,
    pathOf,
    problem: {
      ovens,
      temperOven,
      coldBoxPackets: shop.cold.medium === 'none' ? 0 : ROOM_ENOUGH,
      coolBetweenMin: PACE.coolBetweenMin,
      overrunMin: OVERRUN_MIN,
      work: [...day.work, ...stayedFor(parts, day.nowMin)],
      helper: day.helper,
      groups: dayGroups,
      atoms,
      nowMin: day.nowMin,
      heatsAlone: day.heatsAlone,
      before: parts.map((part, i) => beforeOf(part, atoms[i] ?? [], { groups, shop, pathOf })),
      notBeforeMin: parts.map(({ from }) => from.notBeforeMin),
      notAfterMin: parts.map(({ from }) => from.notAfterMin),
      runOf: indices => {
        const own = [...new Set(indices.map(partOf))].flatMap(part => part ?? [])
        if (own.some(part => part.going)) return own.length > 1 ? REFUSED : goingRun(indices)
        return hotRun(own, indices, groups, day)
      },
    },
  }
}

/** What blades go through before they are loaded; `pathOf` comes to know how the oven goes for it. */
function beforeOf(
  { from, batch, going, begunMin }: Part,
  atom: readonly number[],
  {
    groups,
    shop,
    pathOf,
  }: {
    readonly groups: readonly ShopGroup[]
    readonly shop: Workshop
    readonly pathOf: Map<string, HeatBefore['path']>
  },
): BeforeHeat[] {
  const oven = shop.ovens.findIndex(({ id }) => id === batch.ovenId)
  const own = shop.ovens[oven]
  if (going || begunMin !== null || !own) return []
  return heatsBefore(batch, chamberOf(own)).map(({ kind, blades, path, overrunMin }): BeforeHeat => {
    const ids = new Set(blades.map(({ id }) => id))
    const key = `${kind} ${own.id} ${JSON.stringify(path)}`
    pathOf.set(key, path)
    const lastsMin = path.at(-1)?.[0] ?? 0
    return {
      kind,
      groups: atom.filter(index => groups[index]?.blades.some(({ id }) => ids.has(id))),
      oven,
      inC: path[0]?.[1] ?? 0,
      outC: path.at(-1)?.[1] ?? 0,
      stayMin: [lastsMin, lastsMin + overrunMin],
      thenMin: PACE.wrapMin,
      key,
      count: blades.length,
      inSinceMin: from.heatedInMin?.get(blades[0]?.id ?? '') ?? null,
    }
  })
}

/** Who has begun a hot run stays with it, whatever the hours say: until it is pulled, looked at and in the cold. */
const HOT_RUN_MIN = 240
const stayedFor = (parts: readonly { readonly begunMin: number | null }[], nowMin: number): Window[] =>
  parts.flatMap(({ begunMin }) =>
    begunMin === null ? [] : [[nowMin, Math.max(nowMin + 60, begunMin + HOT_RUN_MIN)] as const],
  )

const REFUSED: RunAnswer = { ok: false, refusal: { code: 'windows-apart', amount: 0 } }

/** Blades with the same cold, tempers and limits, and where they stand. */
function groupsOf(blades: readonly BatchBlade[], from: DayBatch | null): BatchBlade[][] {
  const sets = new Map<string, BatchBlade[]>()
  for (const blade of blades) {
    const at = from?.progress.get(blade.id)
    const key = JSON.stringify([blade.group.route.cold, tempersOf(blade), temperWithinMin(blade), at?.kind, at?.round])
    sets.set(key, [...(sets.get(key) ?? []), blade])
  }
  return [...sets.values()]
}

/** Each steel apart: a heat before the hardening is of one steel. Those that go on alike are one again after the quench. */
const bySteel = (groups: readonly (readonly BatchBlade[])[]): BatchBlade[][] =>
  groups.flatMap(blades =>
    [...new Set(blades.map(({ group }) => group.gradeId))].map(id =>
      blades.filter(({ group }) => group.gradeId === id),
    ),
  )

/** All its tempers are behind it. */
const isDone = (blade: BatchBlade, { progress }: DayBatch): boolean => {
  const at = progress.get(blade.id)
  return at?.kind === 'tempered' && at.round >= tempersOf(blade).length
}

function dayGroupOf(
  id: string,
  blades: readonly BatchBlade[],
  from: DayBatch | null,
  deadlineMin: number | null,
): DayGroup {
  const first = blades[0] as BatchBlade
  const { cold } = first.group.route
  const progress = from && progressOf(blades, from)
  return {
    id,
    count: blades.length,
    cold: cold && {
      delayMin: coldWithinMin(cold),
      holdMin: [cold.holdMin + PACE.coldLagS / 60, cold.holdMin + OVERRUN_MIN],
    },
    tempers: tempersOf(first).map(({ atC, holdMin }) => ({ atC, holdMin: holdMin + PACE.temperLagMin })),
    maxToTemperMin: Math.min(...blades.map(temperWithinMin)),
    deadlineMin,
    straightenMin: blades.filter(isBent).length * PACE.straightenMin,
    ...(progress ? { progress } : {}),
  }
}

/** It was found bent past what it may keep as its foil came off. */
const isBent = ({ record: { inspection }, line }: BatchBlade): boolean =>
  inspection?.bowMm != null && inspection.bowMm > bowLimitMm(line.lengthMm)

/** Where blades that are past the oven stand: the last of them. */
function progressOf(blades: readonly BatchBlade[], { progress }: DayBatch): Progress | null {
  const all = blades.flatMap(blade => progress.get(blade.id) ?? [])
  const last = all.reduce((latest, one) => (one.atMin > latest.atMin ? one : latest), all[0] ?? NOT_BEGUN)
  const { kind, atMin, round } = last
  if (kind === 'in-oven') return null
  return kind === 'in-temper' || kind === 'tempered' ? { kind, atMin, round } : { kind, atMin }
}

const NOT_BEGUN: BladeAt = { kind: 'in-oven', atMin: 0, loadedMin: 0, round: 0 }

function dayOvenOf(oven: Oven) {
  const chamber = chamberOf(oven)
  return {
    packets: ROOM_ENOUGH,
    transMin: (fromC: number, toC: number) =>
      toC > fromC ? heatUpMin(chamber, fromC, toC, 0) : coolDownMin(chamber, fromC, toC),
  }
}

/** Blades past the oven: nothing of them is hot any more. */
const goingRun = (groups: readonly number[]): RunAnswer => ({
  ok: true,
  run: { oven: 0, firstC: 0, lastC: 0, tasks: [], pullOf: new Map(), going: groups, loads: [] },
})

/** One or more batches in one go, as their Heat Line has it. */
function hotRun(
  parts: readonly Part[],
  indices: readonly number[],
  groups: readonly ShopGroup[],
  { shop, nowMin }: ShopDay,
): RunAnswer {
  const [first, ...rest] = parts
  if (!first || (rest.length > 0 && !canJoin(parts))) return REFUSED
  const times = hotTimesOf(together([first.batch, ...rest.map(({ batch }) => batch)]), shop)
  const oven = shop.ovens.findIndex(({ id }) => id === first.batch.ovenId)
  if (!times.ok || times.value.length === 0 || oven < 0)
    return { ok: false, refusal: { code: 'no-plan-for-load', amount: 0 } }
  const { tasks, pullAt } = hotTasks(times.value, shop)
  const holds = (index: number, ids: ReadonlySet<string>) =>
    groups[index]?.blades.some(({ id }) => ids.has(id)) ?? false
  const { begunMin } = first
  const blades = times.value.map(({ load }) => load.blades)
  const stand = standOf(first, tasks, blades, nowMin)
  return {
    ok: true,
    run: {
      oven,
      firstC: times.value[0]?.load.entryC ?? 0,
      lastC: times.value.at(-1)?.load.austenitizeC ?? 0,
      tasks,
      pullOf: new Map(
        indices.map(index => [index, pullAt.get(groups[index]?.blades.at(-1)?.id ?? '') ?? tasks.length - 2]),
      ),
      readyAfter: tasks.length - 1,
      loads: times.value.map(({ load: { blades: own, austenitizeC, entryC } }) => {
        const ids = new Set(own.map(({ id }) => id))
        return { groups: indices.filter(index => holds(index, ids)), austenitizeC, entryC }
      }),
      ...(begunMin === null ? {} : { begunMin: begunMin + stand.lateMin, done: stand.done }),
    },
  }
}

/** What hands do at the oven, from the first load’s own start: each load in, its pulls, and a look at all of them; and each blade's pull. */
function hotTasks(times: readonly HotTimes[], shop: Workshop): { tasks: HotTask[]; pullAt: Map<string, number> } {
  const startMin = times[0]?.loadedMin ?? 0
  const tasks: HotTask[] = []
  const pullAt = new Map<string, number>()
  // Hands do one thing after the other: a task begins when the one before it has ended.
  const freeMin = () => (tasks.at(-1)?.offsetMin ?? 0) + (tasks.at(-1)?.durationMin ?? 0)
  for (const [load, { loadedMin, pulls }] of times.entries()) {
    const intoMin = Math.max(freeMin(), downToGrid(loadedMin - startMin))
    tasks.push({ kind: 'load', load, offsetMin: intoMin, durationMin: ACT_MIN })
    const offsetMin = Math.max(freeMin(), downToGrid(Math.min(...pulls.map(pull => pull.pullMin)) - startMin))
    const endMin = upToGrid(Math.max(...pulls.map(pull => pull.outMin)) - startMin)
    tasks.push({
      kind: 'pull',
      load,
      offsetMin,
      durationMin: Math.max(ACT_MIN, endMin - offsetMin),
      // One at the oven, one at the plates: a pull for two takes both.
      allHands: (shop.plates.people ?? 1) > 1,
    })
    for (const { bladeId } of pulls) pullAt.set(bladeId, tasks.length - 1)
  }
  tasks.push({
    kind: 'inspect',
    load: times.length - 1,
    offsetMin: freeMin(),
    durationMin: upToGrid(inspectMinOf(shop)),
  })
  return { tasks, pullAt }
}

/** How many tasks of a run are done, and how far it is behind: what is next should not have been done before now, min. */
function standOf(
  { begunMin, from: { progress } }: Part,
  tasks: readonly HotTask[],
  blades: readonly (readonly BatchBlade[])[],
  nowMin: number,
): { readonly done: number; readonly lateMin: number } {
  const isDone = ({ kind, load }: HotTask): boolean =>
    kind !== 'inspect' &&
    (blades[load] ?? []).every(({ id }) => {
      const at = progress.get(id)
      return at !== undefined && (kind === 'load' || at.kind !== 'in-oven')
    })
  const done = tasks.findIndex(task => !isDone(task))
  const next = tasks[done]
  return { done, lateMin: Math.max(0, nowMin - (begunMin ?? nowMin) - (next?.offsetMin ?? Number.POSITIVE_INFINITY)) }
}

/** Batches that gain by going in together: the same oven, and a soak they share; none of them begun. */
function canJoin(parts: readonly Part[]): boolean {
  if (parts.some(({ begunMin }) => begunMin !== null)) return false
  if (new Set(parts.map(({ batch }) => batch.ovenId)).size > 1) return false
  const soaks = parts.map(({ batch }) => new Set(bladesOf(batch).map(({ group }) => group.route.austenitizeC)))
  return soaks.every((own, i) => [...own].some(c => soaks.some((other, j) => j !== i && other.has(c))))
}
