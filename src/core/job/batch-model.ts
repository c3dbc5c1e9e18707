import type { Grade } from '../../data/grades'
import type { Result } from '../codes/result'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'
import { groupHardness, type Hardness } from './hardness'
import { hardnessTrace, type StageHardness } from './hardness-trace'
import { loadKg } from './heat-load'
import { entryOf, type Load, loadOfGroup, loadsOf, type TemperLoad, temperLoadsOf } from './loads'
import { ASSUMED_THICKNESS_MM } from './new-batch'
import { chamberOf, ovenOf, temperingOvenOf } from './ovens'
import { latestStage, predictionAt, stagesOf } from './stages'
import { type Expectation, expectedAfter } from './temper-expected'
import { planTimeline, type Stretch } from './timeline'
import { type BatchBlade, bladesOf, linesOf, thickestMm } from './tray'

/** One steel of a batch with all that is computed for it. */
export interface GroupModel {
  readonly group: BatchGroup
  readonly grade: Grade
  /** What the shop's own readings add; null where they do not help or are switched off. */
  readonly experience: ShopExperience | null
  readonly prediction: Prediction
  /** Planned temperature along the route; empty where the batch's oven is gone. */
  readonly stretches: readonly Stretch[]
  readonly thicknessMm: number
  /** Hardness along the route: what is due, what was measured, and what follows from there. */
  readonly stages: readonly StageHardness[]
  /** What was measured, by stage, and the latest stage of it. */
  readonly measured: ReadonlyMap<Stage, Hardness>
  readonly latest: Hardness | null
}

/** A temper load with what its blades should read afterwards. */
export interface ExpectedTemperLoad extends TemperLoad {
  readonly expected: readonly Expectation[]
}

/** A batch in its shop, worked out once: what every bench shows of it. */
export interface BatchModel {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
  readonly blades: readonly BatchBlade[]
  readonly loads: readonly Load[]
  readonly temperLoads: readonly ExpectedTemperLoad[]
  readonly oven: Result<Oven>
  readonly temperingOven: Result<Oven>
  readonly groups: readonly GroupModel[]
  /** Steels that are neither shipped nor carry their sheet: nothing can be worked out for them. */
  readonly unknown: readonly BatchGroup[]
}

export interface BatchModelSources {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
  /** What the shop's readings of other batches add to a group's prediction. */
  readonly experienceOf: (group: BatchGroup) => ShopExperience | null
}

/** Blades, loads, plans, predictions and hardness of a batch: the one place where they are put together. */
export function batchModelOf({ batch, shop, readings, experienceOf }: BatchModelSources): BatchModel {
  const loads = loadsOf(batch)
  const oven = ovenOf(shop, batch)
  const groups = batch.groups.flatMap(group => {
    const grade = gradeOf(group)
    return grade ? [groupModelOf(group, grade, { batch, shop, readings, loads, oven, experienceOf })] : []
  })
  const known = groups.map(({ group, grade, experience }) => ({ groupId: group.id, grade, experience }))
  return {
    batch,
    shop,
    readings,
    blades: bladesOf(batch),
    loads,
    temperLoads: temperLoadsOf(batch).map(load => ({ ...load, expected: expectedAfter(load, known) })),
    oven,
    temperingOven: temperingOvenOf(shop, batch),
    groups,
    unknown: batch.groups.filter(group => !gradeOf(group)),
  }
}

interface GroupSources extends BatchModelSources {
  readonly loads: readonly Load[]
  readonly oven: Result<Oven>
}

function groupModelOf(group: BatchGroup, grade: Grade, sources: GroupSources): GroupModel {
  const { batch, shop, readings, experienceOf } = sources
  const experience = experienceOf(group)
  const prediction = predict(grade, group.route, experience)
  const stages = stagesOf(group.route)
  const evidence = { readings, tester: shop.tester, predicted: (stage: Stage) => predictionAt(prediction, stage) }
  const measured = new Map<Stage, Hardness>()
  for (const stage of stages) {
    const hardness = groupHardness(batch, group.id, stage, evidence)
    if (hardness) measured.set(stage, hardness)
  }
  const last = latestStage(
    group.route,
    stages.filter(stage => measured.has(stage)).map(stage => ({ stage })),
  )
  return {
    group,
    grade,
    experience,
    prediction,
    stretches: stretchesOf(group, grade, sources),
    thicknessMm: thicknessOf(batch, group.id),
    stages: hardnessTrace(prediction, stages, new Map([...measured].map(([stage, { hrc }]) => [stage, hrc]))),
    measured,
    latest: last && (measured.get(last) ?? null),
  }
}

/** The thickest blade of a group, or what is assumed while it has none, mm. */
export const thicknessOf = (batch: Pick<Batch, 'lines'>, groupId: string): number =>
  thickestMm(linesOf(batch, groupId)) || ASSUMED_THICKNESS_MM

/** Planned temperature of a group's blades along its whole route; empty where the batch's oven is gone. */
export function stretchesOf(
  group: BatchGroup,
  grade: Grade,
  { batch, loads, oven }: Pick<GroupSources, 'batch' | 'loads' | 'oven'>,
): Stretch[] {
  if (!oven.ok) return []
  const load = loadOfGroup(loads, group.id)
  const entry = load ?? entryOf(batch.entry, grade.equalise, group.route.austenitizeC)
  return planTimeline({
    route: group.route,
    equalise: entry.equalise,
    entryC: entry.entryC,
    oven: chamberOf(oven.value),
    steelKg: load ? loadKg(load) : 0,
    thicknessMm: thicknessOf(batch, group.id),
  })
}
