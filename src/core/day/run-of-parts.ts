import { together } from '../batch/combined-batches'
import { type BatchBlade, bladesOf } from '../batch/tray'
import { chamberOf } from '../equipment/chambers'
import { inspectMinOf } from '../equipment/quench-pace'
import { type HotTimes, hotTimesOf } from '../load/hot-times'
import { hottestOf } from '../oven/chamber'
import { reachC } from '../oven/correction'
import type { Workshop } from '../shop/workshop'
import type { ShopDay, ShopGroup } from './day-batch'
import type { Part } from './day-parts'
import { ACT_MIN, downToGrid, type HotTask, type RunAnswer, upToGrid } from './problem'

/** Batches that do not go into one run. */
export const REFUSED: RunAnswer = { ok: false, refusal: { code: 'windows-apart', amount: 0 } }

/** Blades past the oven: nothing of them is hot any more. */
export const goingRun = (groups: readonly number[]): RunAnswer => ({
  ok: true,
  run: { oven: 0, firstC: 0, lastC: 0, tasks: [], pullOf: new Map(), going: groups, loads: [] },
})

/** One or more batches in one go, as their Heat Line has it. */
export function hotRun(
  parts: readonly Part[],
  indices: readonly number[],
  groups: readonly ShopGroup[],
  { shop, nowMin }: ShopDay,
): RunAnswer {
  const [first, ...rest] = parts
  if (!first || (rest.length > 0 && !canJoin(parts))) return REFUSED
  const times = hotTimesOf(together([first.batch, ...rest.map(({ batch }) => batch)]), shop)
  const oven = shop.ovens.findIndex(({ id }) => id === first.batch.ovenId)
  const needsC = Math.max(...parts.flatMap(({ blades }) => blades.map(({ group }) => group.route.austenitizeC)))
  const hot = shop.ovens[oven]
  if (hot && needsC > Math.min(reachC(hot), hottestOf(chamberOf(hot))))
    return { ok: false, refusal: { code: 'too-hot', amount: needsC } }
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

/** Returns the operator's tasks at the oven, from the first load's start: loading, pulls and inspection; and each blade's pull. */
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
