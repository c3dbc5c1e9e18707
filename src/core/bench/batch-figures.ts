import type { Grade } from '../../data/grades'
import { predictionAt, stagesOf, temperOf } from '../batch/hardness-stages'
import { ASSUMED_THICKNESS_MM, thicknessOf } from '../batch/tray'
import type { Figure } from '../codes/figure'
import type { Result } from '../codes/result'
import { type Chamber, chamberOf } from '../equipment/chambers'
import { ovenOf } from '../equipment/ovens'
import { inspectMinOf } from '../equipment/quench-pace'
import { chanceInTarget } from '../hardness/chance-in-target'
import { groupHardness, type Hardness } from '../hardness/hardness'
import { hardnessTrace, type StageHardness } from '../hardness/hardness-trace'
import { type MeasuredSources, measuredBladeOf } from '../hardness/measured-blades'
import { predictedAtSoak } from '../hardness/predicted-blade'
import { type Expectation, expectedAfter, type KnownGroup, type LastMeasured } from '../hardness/temper-expected'
import { loadKg, programmeOf } from '../load/heat-load'
import { type HeatPath, heatPathOf } from '../load/load-heat'
import { entryOf, type Load, loadKeyOf, loadOfGroup, loadsOf, temperKeyOf, temperLoadsOf } from '../load/loads'
import { type PlannedPull, type PullPlan, pullPlanOf } from '../load/pull-plan'
import { type SharedSoak, soakToShare } from '../load/shared-soak'
import { suggestionOf } from '../new-batch/suggestion'
import type { Segment } from '../oven/programme'
import { type BatchDay, batchDayOf, type PlacedTemper } from '../run-plan/batch-day'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Reading } from '../shop/reading'
import type { PlannedRoute, Stage } from '../shop/route'
import type { RoutePart } from '../shop/route-parts'
import type { Tester, Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'
import type { Route } from '../steel/route'
import { planTimeline, type Stretch } from '../trace/timeline'
import type { System } from '../units/quantity'

/** Figures computed for one steel of a batch. */
export interface GroupFigures {
  readonly groupId: string
  readonly prediction: Prediction
  /** Chance that the finished hardness is within target. */
  readonly chance: Figure
  /** Suggestion for each part of its route. */
  readonly suggested: Pick<PlannedRoute, RoutePart>
  /** Planned temperature along the route; empty where the batch's oven is gone. */
  readonly stretches: readonly Stretch[]
  /** Hardness along the route: what is due, what was measured, and what follows from there. */
  readonly stages: readonly StageHardness[]
  /** Measured hardness in the route's order of stages. */
  readonly measured: readonly Hardness[]
}

/** Figures computed for a batch in its shop: plain data, so that a worker can compute them. */
export interface BatchFigures {
  /** One for each steel that is known. */
  readonly groups: readonly GroupFigures[]
  /** Expected hardness after each temper load, by the load's key. */
  readonly expected: Readonly<Record<string, readonly Expectation[]>>
  /** Oven programme of each load, by the load's key; none while the batch's oven is missing. */
  readonly programmes: Readonly<Record<string, Result<readonly Segment[]>>>
  /** When each blade of a load is pulled, what it soaks and what it should read, by the load's key; none while the oven is gone. */
  readonly pulls: Readonly<Record<string, ExpectedPulls>>
  /** How long all of it takes and in which order its tempers go; null while an oven is gone. */
  readonly day: DayFigures | null
  /** Two loads that could be one; null where none could. */
  readonly shared: SharedSoak | null
  /** The batch's oven with what its wall model does; null while it is gone. */
  readonly chamber: Chamber | null
}

/** A pull with what its blade should read in the end for what it soaks, HRC; null where its steel is not known. */
export interface ExpectedPull extends PlannedPull {
  readonly hrc: number | null
}

export interface ExpectedPulls extends Omit<PullPlan, 'pulls'> {
  readonly pulls: readonly ExpectedPull[]
}

/** A batch's day as plain figures: its temper loads by their keys, in the order they go in. */
export interface DayFigures extends Omit<BatchDay, 'tempers'> {
  readonly tempers: readonly (Omit<PlacedTemper, 'load'> & { readonly key: string })[]
}

export interface BatchSources {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
  /** Returns the correction by the shop's readings of other batches for a group. */
  readonly experienceOf: (group: BatchGroup) => ShopExperience | null
}

/** Plans, predictions and hardness of a batch: the one place where they are worked out. */
export function batchFiguresOf({ batch, shop, readings, experienceOf }: BatchSources): BatchFigures {
  const loads = loadsOf(batch, shop.units)
  const oven = ovenOf(shop, batch)
  const known = batch.groups.flatMap(group => {
    const grade = gradeOf(group)
    return grade ? [{ group, groupId: group.id, grade, experience: experienceOf(group) }] : []
  })
  const predicted = new Map(known.map(one => [one.groupId, predict(one.grade, one.group.route, one.experience)]))
  const measuredIn = new Map(
    known.map(({ group }) => {
      const prediction = predicted.get(group.id) as Prediction
      return [group.id, measuredOf(batch, group, { readings, tester: shop.tester, prediction })] as const
    }),
  )
  const lastMeasured = lastMeasuredIn(measuredIn, group => ({
    readings,
    tester: shop.tester,
    experience: known.find(one => one.groupId === group.id)?.experience ?? null,
  }))
  return {
    groups: known.map(({ group, grade }) => {
      const prediction = predicted.get(group.id) as Prediction
      const measured = measuredIn.get(group.id) ?? []
      return {
        groupId: group.id,
        prediction,
        chance: chanceInTarget(prediction.finalHrc, group.target),
        suggested: suggestionOf(batch, group, grade, shop),
        stretches: stretchesOf(group, grade, {
          batch,
          loads,
          oven,
          shop,
          path: load => heatPathOf({ batch, shop }, loads, loads.indexOf(load)),
        }),
        stages: hardnessTrace(
          prediction,
          predict(grade, group.route),
          stagesOf(group.route),
          new Map(measured.map(({ stage, hrc }) => [stage, hrc])),
        ),
        measured,
      }
    }),
    expected: Object.fromEntries(
      temperLoadsOf(batch).map(load => [temperKeyOf(load), expectedAfter(load, known, lastMeasured)]),
    ),
    day: dayOf(batch, shop),
    ...plansOf(loads, { batch, shop, oven, known }),
    shared: loads.length > 1 ? soakToShare(batch, shop.units) : null,
    chamber: oven.ok ? chamberOf(oven.value) : null,
  }
}

/** Where the tempers to come start from: a blade with tempers of its own from its own readings, any other from its steel's. */
const lastMeasuredIn =
  (
    measuredIn: ReadonlyMap<string, readonly Hardness[]>,
    sourcesOf: (group: BatchGroup) => MeasuredSources,
  ): LastMeasured =>
  (blade, beforeRound) => {
    const isBefore = (stage: Stage) => (temperOf(stage) ?? 0) < beforeRound
    if ((blade.record.tempers?.length ?? 0) > 0) {
      const own = measuredBladeOf(blade, sourcesOf(blade.group)).findLast(({ stage }) => isBefore(stage))
      if (own) return own
    }
    return measuredIn.get(blade.group.id)?.findLast(({ stage }) => isBefore(stage)) ?? null
  }

function dayOf(batch: Batch, shop: Workshop): DayFigures | null {
  const day = batchDayOf(batch, shop)
  if (!day.ok) return null
  const tempers = day.value.tempers.map(({ load, ...place }) => ({ ...place, key: temperKeyOf(load) }))
  return { ...day.value, tempers }
}

interface PlanSources {
  readonly batch: Batch
  readonly shop: Workshop
  readonly oven: Result<Oven>
  readonly known: readonly (KnownGroup & { readonly group: BatchGroup })[]
}

/** Programme and pulls of every load. */
function plansOf(loads: readonly Load[], sources: PlanSources): Pick<BatchFigures, 'programmes' | 'pulls'> {
  const { batch, shop, oven } = sources
  const programmes: Record<string, Result<readonly Segment[]>> = {}
  const pulls: Record<string, ExpectedPulls> = {}
  if (!oven.ok) return { programmes, pulls }
  for (const load of loads) {
    const plan = pullPlanOf(load, shop, batch)
    if (!plan.ok || !plan.value) continue
    programmes[loadKeyOf(load)] = programmeOf(load, oven.value, { hold: plan.value.hold, shop })
    pulls[loadKeyOf(load)] = { ...plan.value, pulls: expectedPulls(load, plan.value, sources) }
  }
  return { programmes, pulls }
}

/** Returns each pull with the hardness to expect of its blade for its own soak. */
const expectedPulls = (load: Load, plan: PullPlan, { known }: PlanSources): ExpectedPull[] =>
  plan.pulls.map((pull, i) => {
    const own = known.find(one => one.groupId === load.blades[i]?.group.id)
    const predicted = own && predictedAtSoak(own.group, pull.soakMin, own.experience)
    return { ...pull, hrc: predicted?.finalHrc.mean ?? null }
  })

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
  { readings, tester, experience }: MeasuredSources,
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
  {
    batch,
    loads,
    oven,
    shop,
    path,
  }: {
    readonly batch: Batch
    readonly loads: readonly Load[]
    readonly oven: Result<Oven>
    readonly shop: Pick<Workshop, 'units' | 'inspectMin'>
    readonly path?: (load: Load) => HeatPath | null
  },
): Stretch[] {
  if (!oven.ok) return []
  const load = loadOfGroup(loads, group.id)
  const entry = load ?? entryOf(batch.entry, grade.equalise, group.route.austenitizeC, shop.units)
  return planTimeline({
    route: group.route,
    equalise: entry.equalise,
    entryC: entry.entryC,
    oven: chamberOf(oven.value),
    steelKg: load ? loadKg(load) : 0,
    thicknessMm: thicknessOf(batch, group.id),
    path: load && path ? path(load) : null,
    inspectMin: inspectMinOf(shop),
  })
}

/** The plan of a batch's first steel alone, as its line in a list shows it; empty where its oven or its grade is gone. */
export function firstStretchesOf(batch: Batch, shop: Pick<Workshop, 'ovens' | 'units' | 'inspectMin'>): Stretch[] {
  const [group] = batch.groups
  const grade = group && gradeOf(group)
  return grade
    ? stretchesOf(group, grade, { batch, loads: loadsOf(batch, shop.units), oven: ovenOf(shop, batch), shop })
    : []
}

/** Blades the line of a recipe is drawn for: four of a middling size. */
const A_FEW = { steelKg: 1, thicknessMm: ASSUMED_THICKNESS_MM }

/** The plan of a route by itself, in the usual way of going in. */
export const recipeStretchesOf = (route: Route, grade: Grade, oven: Oven, system: System): Stretch[] =>
  planTimeline({
    route,
    ...entryOf(undefined, grade.equalise, route.austenitizeC, system),
    oven: chamberOf(oven),
    ...A_FEW,
  })
