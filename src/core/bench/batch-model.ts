import type { Grade } from '../../data/grades'
import { latestStage } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, thicknessOf } from '../batch/tray'
import type { Result } from '../codes/result'
import type { Chamber } from '../equipment/chambers'
import { ovenOf, temperingOvenOf } from '../equipment/ovens'
import type { Hardness } from '../hardness/hardness'
import type { Expectation } from '../hardness/temper-expected'
import { type Load, loadKeyOf, loadsOf, type TemperLoad, temperKeyOf, temperLoadsOf } from '../load/loads'
import type { SharedSoak } from '../load/shared-soak'
import type { Segment } from '../oven/programme'
import type { PlacedTemper } from '../run-plan/batch-day'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import type { BatchFigures, DayFigures, ExpectedPulls, GroupFigures } from './batch-figures'

/** One steel of a batch with all that is computed for it. */
export interface GroupModel extends Omit<GroupFigures, 'groupId' | 'measured'> {
  readonly group: BatchGroup
  readonly grade: Grade
  readonly thicknessMm: number
  /** Measured hardness by stage, and the latest stage of it. */
  readonly measured: ReadonlyMap<Stage, Hardness>
  readonly latest: Hardness | null
}

/** A temper load with what its blades should read afterwards. */
export interface ExpectedTemperLoad extends TemperLoad {
  readonly expected: readonly Expectation[]
  /** When it goes in, min from oven on, and what it waits for; null while it is worked out. */
  readonly place: Omit<PlacedTemper, 'load'> | null
}

/** A load with what is keyed in for it, or why nothing may be. */
export interface ProgrammedLoad extends Load {
  readonly programme: Result<readonly Segment[]>
  /** When each blade is pulled; null while it is worked out, and where it cannot be. */
  readonly pulls: ExpectedPulls | null
}

/** A batch in its shop, worked out once: what every bench shows of it. */
export interface BatchModel {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
  readonly blades: readonly BatchBlade[]
  readonly loads: readonly ProgrammedLoad[]
  readonly temperLoads: readonly ExpectedTemperLoad[]
  readonly oven: Result<Oven>
  readonly temperingOven: Result<Oven>
  readonly groups: readonly GroupModel[]
  readonly day: DayFigures | null
  readonly shared: SharedSoak | null
  readonly chamber: Chamber | null
  /** Steels that are neither shipped nor carry their sheet: nothing can be worked out for them. */
  readonly unknown: readonly BatchGroup[]
}

/** A load whose programme is still being worked out: that of another is never shown for it. */
const UNPLANNED = { ok: false, problems: [] } as const

/** In the place of programmes and pulls that are not worked out yet. */
export const NOTHING_KEYED: Pick<BatchFigures, 'programmes' | 'pulls'> = { programmes: {}, pulls: {} }

/**
 * A batch as it is now, with the figures that were worked out for it last. Between an edit and its figures they may be those of a
 * moment ago; a steel that has none yet is not among the groups.
 */
export function batchModelOf(
  batch: Batch,
  shop: Workshop,
  readings: readonly Reading[],
  figures: BatchFigures,
): BatchModel {
  const byGroup = new Map(figures.groups.map(own => [own.groupId, own]))
  const oven = ovenOf(shop, batch)
  return {
    batch,
    shop,
    readings,
    blades: bladesOf(batch),
    loads: loadsOf(batch, shop.units).map(load => ({
      ...load,
      programme: oven.ok ? (figures.programmes[loadKeyOf(load)] ?? UNPLANNED) : oven,
      pulls: figures.pulls[loadKeyOf(load)] ?? null,
    })),
    temperLoads: inTheirOrder(temperLoadsOf(batch), figures),
    day: figures.day,
    oven,
    temperingOven: temperingOvenOf(shop, batch),
    groups: batch.groups.flatMap(group => {
      const grade = gradeOf(group)
      const own = byGroup.get(group.id)
      return grade && own ? [groupModelOf(batch, group, grade, own)] : []
    }),
    shared: figures.shared,
    chamber: figures.chamber,
    unknown: batch.groups.filter(group => !gradeOf(group)),
  }
}

/** Temper loads in the order they go in, as far as it is worked out. */
function inTheirOrder(loads: readonly TemperLoad[], { expected, day }: BatchFigures): ExpectedTemperLoad[] {
  const order = new Map(day?.tempers.map((temper, i) => [temper.key, i]))
  return loads
    .map(load => {
      const key = temperKeyOf(load)
      const at = order.get(key)
      return { ...load, expected: expected[key] ?? [], place: at === undefined ? null : (day?.tempers[at] ?? null) }
    })
    .sort((a, b) => (order.get(temperKeyOf(a)) ?? 0) - (order.get(temperKeyOf(b)) ?? 0))
}

function groupModelOf(batch: Batch, group: BatchGroup, grade: Grade, figures: GroupFigures): GroupModel {
  const { prediction, chance, suggested, stretches, stages } = figures
  const measured = new Map(figures.measured.map(hardness => [hardness.stage, hardness]))
  const last = latestStage(group.route, figures.measured)
  return {
    group,
    grade,
    prediction,
    chance,
    suggested,
    stretches,
    stages,
    thicknessMm: thicknessOf(batch, group.id),
    measured,
    latest: last && (measured.get(last) ?? null),
  }
}
