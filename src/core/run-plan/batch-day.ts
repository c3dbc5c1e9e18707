import { TEMPER_WITHIN_MIN } from '../../data/delays'
import { PACE } from '../../data/pace'
import { tempersOf } from '../batch/tray'
import { ok, type Result } from '../codes/result'
import { chamberOf } from '../equipment/chambers'
import { ovenOf, temperingOvenOf } from '../equipment/ovens'
import { inspectMinOf } from '../equipment/quench-pace'
import { type HotTimes, hotTimesOf } from '../load/hot-times'
import { type Load, loadsOf, type TemperLoad, temperLoadsOf } from '../load/loads'
import { type OrderedJob, type TemperJob, type TemperOven, temperOrder } from '../load/temper-order'
import { AMBIENT_C, fallenC } from '../oven/chamber'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'

/** A temper load in its place in the day, min from oven on. */
export interface PlacedTemper extends Omit<OrderedJob, 'index'> {
  readonly load: TemperLoad
}

/** How long the blades of a steel stand at room temperature before their first temper, and how long they may, min. */
export interface Standing {
  readonly groupId: string
  readonly standsMin: number
  readonly limitMin: number
}

/** A stay in the cold, min from oven on. */
export interface ColdStay {
  readonly startMin: number
  readonly endMin: number
}

/** A batch from oven on to the end of its last temper, one after another as one pair of hands does it. */
export interface BatchDay {
  /** Loads that have blades, in their order. */
  readonly hot: readonly Omit<HotTimes, 'load'>[]
  /** From the cold in until its blades have warmed up; null: none. */
  readonly cold: ColdStay | null
  readonly tempers: readonly PlacedTemper[]
  readonly standings: readonly Standing[]
  /** When the last blade is quenched, and when all is done, min from oven on. */
  readonly quenchedMin: number
  readonly totalMin: number
}

type DayShop = Pick<Workshop, 'ovens' | 'plates' | 'oil' | 'roomC' | 'units' | 'temperingOvenId' | 'inspectMin'>

/** A batch up to its tempers: what no temper changes. */
export interface HotPart extends Untempered, Pick<BatchDay, 'hot' | 'quenchedMin'> {
  readonly loads: readonly Load[]
  /** The oven that tempers, from when the blades are ready. */
  readonly oven: TemperOven
}

/**
 * How long all of a batch takes, in which order its tempers are done soonest, and how long its blades stand untempered. Errors: as
 * ovenOf and temperingOvenOf.
 */
export function batchDayOf(batch: Batch, shop: DayShop): Result<BatchDay> {
  const hot = hotPartOf(batch, shop)
  return hot.ok ? ok(dayAfter(hot.value, batch)) : hot
}

/** From oven on until the blades are ready to be tempered. Errors: as ovenOf and temperingOvenOf. */
export function hotPartOf(batch: Batch, shop: DayShop): Result<HotPart> {
  const [hardens, tempers] = [ovenOf(shop, batch), temperingOvenOf(shop, batch)]
  if (!hardens.ok) return hardens
  if (!tempers.ok) return tempers
  const loads = loadsOf(batch, shop.units)
  const hot = hotTimesOf(batch, shop)
  if (!hot.ok) return hot
  const pulls = hot.value.flatMap(times => times.pulls)
  const quenchedAt = new Map(pulls.map(({ bladeId, outMin }) => [bladeId, outMin]))
  const offMin = Math.max(0, ...pulls.map(({ pullMin }) => pullMin))
  const quenchedMin = Math.max(0, ...quenchedAt.values())
  const lookedAtMin = quenchedMin + (quenchedAt.size > 0 ? inspectMinOf(shop) : 0)
  const cold = coldOf(loads, lookedAtMin)
  const readyMin = cold?.endMin ?? lookedAtMin
  const own = shop.temperingOvenId === null || tempers.value.id === hardens.value.id
  const hottest = loads.at(-1)?.austenitizeC ?? AMBIENT_C
  return ok({
    loads,
    hot: hot.value.map(({ load: _, ...times }) => times),
    quenchedAt,
    cold,
    quenchedMin,
    oven: {
      chamber: chamberOf(tempers.value),
      readyMin,
      atC: own && loads.length > 0 ? fallenC(chamberOf(hardens.value), hottest, readyMin - offMin) : AMBIENT_C,
      coolBetweenMin: PACE.coolBetweenMin,
    },
  })
}

/** The tempers of a batch after what came before them. */
export function dayAfter(hot: HotPart, batch: Batch): BatchDay {
  const placed = placeTempers(temperLoadsOf(batch), dueOf(hot), hot.oven)
  return {
    hot: hot.hot,
    cold: hot.cold,
    tempers: placed,
    standings: standingsOf(batch, hot, placed),
    quenchedMin: hot.quenchedMin,
    totalMin: Math.max(hot.oven.readyMin, ...placed.map(({ endMin }) => endMin)),
  }
}

/** All that goes into the cold goes in together, as soon as it was looked at: how long it may wait is a limit, not an appointment. */
function coldOf(loads: readonly Load[], startMin: number): ColdStay | null {
  const blades = loads.flatMap(load => load.blades).filter(blade => blade.group.route.cold)
  if (blades.length === 0) return null
  const holdMin = Math.max(...blades.map(({ group }) => group.route.cold?.holdMin ?? 0))
  return { startMin, endMin: startMin + PACE.coldLagS / 60 + holdMin + PACE.warmMin }
}

function placeTempers(
  loads: readonly TemperLoad[],
  dueMinOf: (load: TemperLoad) => number | undefined,
  oven: TemperOven,
): PlacedTemper[] {
  const jobs = loads.map((load): TemperJob => {
    const dueMin = dueMinOf(load)
    return {
      round: load.round,
      atC: load.atC,
      inOvenMin: load.holdMin + PACE.temperLagMin + PACE.doorMin,
      bladeIds: load.blades.map(blade => blade.id),
      ...(dueMin === undefined ? {} : { dueMin }),
    }
  })
  return temperOrder(jobs, oven).map(({ index, ...place }) => ({ load: loads[index] as TemperLoad, ...place }))
}

/** Blades before their first temper. */
interface Untempered {
  readonly quenchedAt: ReadonlyMap<string, number>
  readonly cold: ColdStay | null
}

/** Minutes a blade is in the cold, which do not count as standing. */
const chilledMin = (group: BatchGroup, cold: ColdStay | null): number =>
  group.route.cold && cold ? cold.endMin - cold.startMin - PACE.warmMin : 0

/** When a first temper should go in at the latest: before any of its blades has stood longer than its steel should. */
const dueOf =
  ({ quenchedAt, cold }: Untempered) =>
  ({ round, blades }: TemperLoad): number | undefined => {
    if (round > 1) return undefined
    const due = blades.flatMap(({ id, group }) => {
      const grade = gradeOf(group)
      const quenchedMin = quenchedAt.get(id)
      return grade && quenchedMin !== undefined
        ? [quenchedMin + chilledMin(group, cold) + TEMPER_WITHIN_MIN[grade.family]]
        : []
    })
    return due.length > 0 ? Math.min(...due) : undefined
  }

/** Tempers alone, in an oven that is cold: the order in which they are done soonest. */
export const placeColdTempers = (loads: readonly TemperLoad[], oven: Oven): PlacedTemper[] =>
  placeTempers(loads, () => undefined, {
    chamber: chamberOf(oven),
    readyMin: 0,
    atC: AMBIENT_C,
    coolBetweenMin: PACE.coolBetweenMin,
  })

function standingsOf(
  { groups }: Pick<Batch, 'groups'>,
  { loads, quenchedAt, cold }: HotPart,
  placed: readonly PlacedTemper[],
): Standing[] {
  return groups.flatMap((group): Standing[] => {
    const grade = gradeOf(group)
    const blades = loads.flatMap(load => load.blades).filter(blade => blade.group.id === group.id)
    if (!grade || blades.length === 0) return []
    const chilled = chilledMin(group, cold)
    const stands = blades.flatMap(blade => {
      const first = placed.find(({ load }) => load.round === 1 && load.blades.some(other => other.id === blade.id))
      if (!first || tempersOf(blade).length === 0) return []
      return [first.startMin - (quenchedAt.get(blade.id) ?? 0) - chilled]
    })
    return stands.length === 0
      ? []
      : [{ groupId: group.id, standsMin: Math.max(...stands), limitMin: TEMPER_WITHIN_MIN[grade.family] }]
  })
}
