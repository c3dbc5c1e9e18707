import type { Grade } from '../../data/grades'
import type { OvenPreset } from '../../data/ovens'
import type { Result } from '../codes/result'
import type { Segment } from '../oven/programme'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Tester, Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'
import type { Route } from '../steel/route'
import { chamberOf } from './chambers'
import { groupHardness, type Hardness } from './hardness'
import { hardnessTrace, type StageHardness } from './hardness-trace'
import { loadKg, programmeOf } from './heat-load'
import { entryOf, type Load, loadKeyOf, loadOfGroup, loadsOf, temperKeyOf, temperLoadsOf } from './loads'
import { ovenOf } from './ovens'
import { type SharedSoak, soakToShare } from './shared-soak'
import { predictionAt, stagesOf } from './stages'
import { type Expectation, expectedAfter } from './temper-expected'
import { planTimeline, type Stretch } from './timeline'
import { ASSUMED_THICKNESS_MM, thicknessOf } from './tray'

/** What is computed for one steel of a batch. */
export interface GroupFigures {
  readonly groupId: string
  readonly prediction: Prediction
  /** Planned temperature along the route; empty where the batch's oven is gone. */
  readonly stretches: readonly Stretch[]
  /** Hardness along the route: what is due, what was measured, and what follows from there. */
  readonly stages: readonly StageHardness[]
  /** What was measured, in the route's order of stages. */
  readonly measured: readonly Hardness[]
}

/** What is computed for a batch in its shop: plain data, so that it can be worked out away from the page. */
export interface BatchFigures {
  /** One for each steel that is known. */
  readonly groups: readonly GroupFigures[]
  /** What each temper load should read afterwards, by the load's key. */
  readonly expected: Readonly<Record<string, readonly Expectation[]>>
  /** What is keyed in for each load, by the load's key; none while the batch's oven is gone. */
  readonly programmes: Readonly<Record<string, Result<readonly Segment[]>>>
  /** Two loads that could be one; null where none could. */
  readonly shared: SharedSoak | null
  /** The batch's oven as one node; null while it is gone. */
  readonly chamber: OvenPreset | null
}

export interface BatchSources {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
  /** What the shop's readings of other batches add to a group's prediction. */
  readonly experienceOf: (group: BatchGroup) => ShopExperience | null
}

/** Plans, predictions and hardness of a batch: the one place where they are worked out. */
export function batchFiguresOf({ batch, shop, readings, experienceOf }: BatchSources): BatchFigures {
  const loads = loadsOf(batch)
  const oven = ovenOf(shop, batch)
  const known = batch.groups.flatMap(group => {
    const grade = gradeOf(group)
    return grade ? [{ group, groupId: group.id, grade, experience: experienceOf(group) }] : []
  })
  return {
    groups: known.map(({ group, grade, experience }) => {
      const prediction = predict(grade, group.route, experience)
      const measured = measuredOf(batch, group, { readings, tester: shop.tester, prediction })
      return {
        groupId: group.id,
        prediction,
        stretches: stretchesOf(group, grade, { batch, loads, oven }),
        stages: hardnessTrace(
          prediction,
          stagesOf(group.route),
          new Map(measured.map(({ stage, hrc }) => [stage, hrc])),
        ),
        measured,
      }
    }),
    expected: Object.fromEntries(temperLoadsOf(batch).map(load => [temperKeyOf(load), expectedAfter(load, known)])),
    programmes: oven.ok ? Object.fromEntries(loads.map(load => [loadKeyOf(load), programmeOf(load, oven.value)])) : {},
    shared: loads.length > 1 ? soakToShare(batch) : null,
    chamber: oven.ok ? chamberOf(oven.value) : null,
  }
}

function measuredOf(
  batch: Batch,
  group: BatchGroup,
  {
    readings,
    tester,
    prediction,
  }: { readonly readings: readonly Reading[]; readonly tester: Tester; readonly prediction: Prediction },
): Hardness[] {
  const evidence = { readings, tester, predicted: (stage: Stage) => predictionAt(prediction, stage) }
  return stagesOf(group.route).flatMap(stage => groupHardness(batch, group.id, stage, evidence) ?? [])
}

/** The latest of what was measured of a steel of a batch, as its benches show it; null where nothing was. */
export function latestHardnessOf(
  batch: Batch,
  group: BatchGroup,
  {
    readings,
    tester,
    experience,
  }: {
    readonly readings: readonly Reading[]
    readonly tester: Tester
    readonly experience: ShopExperience | null
  },
): Hardness | null {
  const grade = gradeOf(group)
  if (!grade) return null
  const prediction = predict(grade, group.route, experience)
  return measuredOf(batch, group, { readings, tester, prediction }).at(-1) ?? null
}

/** Planned temperature of a group's blades along its whole route; empty where the batch's oven is gone. */
function stretchesOf(
  group: BatchGroup,
  grade: Grade,
  { batch, loads, oven }: { readonly batch: Batch; readonly loads: readonly Load[]; readonly oven: Result<Oven> },
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

/** The plan of a batch's first steel alone, as its line in a list shows it; empty where its oven or its grade is gone. */
export function firstStretchesOf(batch: Batch, shop: Pick<Workshop, 'ovens'>): Stretch[] {
  const [group] = batch.groups
  const grade = group && gradeOf(group)
  return grade ? stretchesOf(group, grade, { batch, loads: loadsOf(batch), oven: ovenOf(shop, batch) }) : []
}

/** Blades the line of a recipe is drawn for: four of a middling size. */
const A_FEW = { steelKg: 1, thicknessMm: ASSUMED_THICKNESS_MM }

/** The plan of a route by itself, in the usual way of going in. */
export const recipeStretchesOf = (route: Route, grade: Grade, oven: Oven): Stretch[] =>
  planTimeline({
    route,
    ...entryOf(undefined, grade.equalise, route.austenitizeC),
    oven: chamberOf(oven),
    ...A_FEW,
  })
