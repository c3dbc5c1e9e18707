import { PACE } from '../../data/pace'
import { type HeatBefore, heatsBefore } from '../batch/heats-before'
import { type BatchBlade, tempersOf } from '../batch/tray'
import { chamberOf } from '../equipment/chambers'
import { bowLimitMm } from '../load/inspect'
import { coolDownMin, heatUpMin } from '../oven/chamber'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'
import type { BladeAt, DayBatch, ShopDay, ShopGroup } from './day-batch'
import { bySteel, groupsOf, type Part, partsOf } from './day-parts'
import type { BeforeHeat, DayGroup, DayProblem, Progress, Window } from './problem'
import { goingRun, hotRun, REFUSED } from './run-of-parts'
import { temperWithinMin } from './standing-limits'

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

/** Returns the heats before loading; `pathOf` receives the oven's temperature during each. */
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
      delayMin: cold.delayMin,
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
