import { mean } from 'simple-statistics'
import { standing } from '../batch/blade-state'
import { latestStage, predictionAt, routeUpTo } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, routeOfBlade } from '../batch/tray'
import { bladeHardness } from '../hardness/hardness'
import { predictedBlade } from '../hardness/predicted-blade'
import { readOn, stageReadingOf, wantedAfter } from '../hardness/stage-reading'
import { packetOf } from '../load/packets'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import type { ShopExperience } from '../steel/predict'
import type { System } from '../units/quantity'
import { settingC } from '../units/setting'
import { advise } from './advise'
import type { AdviceOption, AdviceRequest } from './option'

/** Decision for one blade by its own readings and files. */
export interface BladeNeed {
  readonly bladeId: string
  readonly groupId: string
  readonly stage: Stage
  readonly measured: number
  readonly u95: number
  readonly best: AdviceOption
  /** More readings come first: what is known of it is as wide as the target. */
  readonly readOn: boolean
  /** Its packet leaked: what was read is a skin that lost carbon, to be ground and read again before anything is done. */
  readonly grindFirst: boolean
}

/** Blades that need the same, as one load or one decision. */
export interface NeedGroup {
  readonly kind: AdviceOption['kind']
  readonly temper: AdviceOption['temper']
  readonly cold: AdviceOption['cold']
  readonly bladeIds: readonly string[]
  /** Of the blades in it, HRC: least and most to come. */
  readonly fromHrc: number
  readonly toHrc: number
  readonly leastProbability: number
  /** The first blade's option, with its reason. */
  readonly first: AdviceOption
}

export interface EachBlade {
  readonly needs: readonly BladeNeed[]
  readonly groups: readonly NeedGroup[]
  /** Blades nothing was measured of. */
  readonly unread: readonly string[]
}

/** Tempers this near share a load, at the mean of them: an oven does not part them, °C. Common practice, no published source. */
const SHARED_WITHIN_C = 10

/** Evidence about a batch's blades, and the shop's abilities. */
export interface EachBladeRequest {
  readonly batch: Batch
  readonly readings: readonly Reading[]
  readonly tester: Tester
  readonly can: AdviceRequest['can']
  /** Returns the correction by the shop's readings for a group, or null for none. */
  readonly experienceOf: (group: BatchGroup) => ShopExperience | null
}

/** Returns the decision for each blade of a batch by its own evidence, and the groups that can be treated together. */
export function eachBlade(request: EachBladeRequest): EachBlade {
  const blades = standing(bladesOf(request.batch))
  const needs = blades.flatMap(blade => needOf(blade, request) ?? [])
  const read = new Set(needs.map(n => n.bladeId))
  return {
    needs,
    groups: grouped(needs, request.can.system),
    unread: blades.map(b => b.id).filter(id => !read.has(id)),
  }
}

function needOf(blade: BatchBlade, { batch, readings, tester, can, experienceOf }: EachBladeRequest): BladeNeed | null {
  const grade = gradeOf(blade.group)
  const route = routeOfBlade(blade)
  const own = readings.filter(r => r.bladeId === blade.id && r.deletedAt === null)
  const stage = latestStage(route, [...own, ...(blade.record.files ?? [])])
  if (!grade || !stage) return null
  const done = routeUpTo(route, stage)
  const experience = experienceOf(blade.group)
  const prediction = predictedBlade(blade, experience)
  const hardness = bladeHardness(blade, stage, {
    // Of all blades: how much readings scatter is learnt from the others too.
    readings,
    tester,
    predicted: at => prediction && predictionAt(prediction, at),
  })
  if (!hardness) return null
  const { hrc, u95 } = hardness
  const [best] = advise({
    steel: grade,
    route: done,
    reading: stageReadingOf(hardness),
    target: blade.group.target,
    symptom: blade.group.symptom,
    experience,
    can: { ...can, thicknessMm: blade.line.thicknessMm },
  })
  const { wanted } = wantedAfter(blade.group.target, blade.group.symptom, hrc)
  return best
    ? {
        bladeId: blade.id,
        groupId: blade.group.id,
        stage,
        measured: hrc,
        u95,
        best,
        readOn: readOn({ mean: hrc, u95 }, wanted),
        grindFirst: Boolean(packetOf(batch, blade.id)?.leak),
      }
    : null
}

function grouped(needs: readonly BladeNeed[], system: System): NeedGroup[] {
  const groups: BladeNeed[][] = []
  const sorted = [...needs].sort((a, b) => (a.best.temper?.atC ?? 0) - (b.best.temper?.atC ?? 0))
  for (const need of sorted) {
    const fits = groups.find(([first]) => first !== undefined && goTogether(first, need))
    if (fits) fits.push(need)
    else groups.push([need])
  }
  return groups.map((own): NeedGroup => {
    const first = own[0] as BladeNeed
    const temper = first.best.temper && {
      ...first.best.temper,
      atC: settingC(mean(own.map(n => n.best.temper?.atC ?? 0)), system),
    }
    const hrc = own.map(n => n.best.hrc.mean)
    return {
      kind: first.best.kind,
      temper,
      cold: first.best.cold,
      bladeIds: own.map(n => n.bladeId),
      fromHrc: Math.min(...hrc),
      toHrc: Math.max(...hrc),
      leastProbability: Math.min(...own.map(n => n.best.inTargetProbability)),
      first: first.best,
    }
  })
}

function goTogether(first: BladeNeed, other: BladeNeed): boolean {
  if (first.best.kind !== other.best.kind) return false
  const [a, b] = [first.best.temper, other.best.temper]
  if (!a || !b) return a === b
  return Math.abs(a.atC - b.atC) <= SHARED_WITHIN_C && a.holdMin === b.holdMin
}
