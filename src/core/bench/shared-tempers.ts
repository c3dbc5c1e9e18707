import { standing } from '../batch/blade-state'
import { withRoute } from '../batch/route-edit'
import { bladesOf } from '../batch/tray'
import { ok, type Result } from '../codes/result'
import { chanceInTarget } from '../hardness/chance-in-target'
import { temperLoadsOf } from '../load/loads'
import { dayAfter, type HotPart, hotPartOf } from '../run-plan/batch-day'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict, type ShopExperience } from '../steel/predict'
import type { System } from '../units/quantity'
import { SETTING_STEP, settingsBetween } from '../units/setting'

/** Furthest a temper is moved from its plan, in steps of the oven's setting. Common practice, no published source. */
const STEPS = [0, 1, 2, 3, 5] as const
/** Furthest a temper is moved where a shop reads this scale, K. */
export const furthestK = (system: System): number => inKelvin(STEPS[STEPS.length - 1] ?? 0, system)

const inKelvin = (steps: number, system: System): number => (steps * SETTING_STEP) / (system === 'metric' ? 1 : 1.8)

/** A plan has to end by so much sooner to be named, min. */
const WORTH_MIN = 5

/** Change that sharing makes to one steel of a batch. */
export interface TemperChange {
  readonly groupId: string
  readonly gradeName: string
  readonly fromC: number
  readonly toC: number
  readonly holdMin: number
  /** Finished hardness as planned and as changed, HRC; chance in target, 0 to 1, null where it is not known. */
  readonly fromHrc: number
  readonly hrc: number
  readonly fromChance: number | null
  readonly chance: number | null
}

/** The shortest plan of a batch's tempers in which no temper is moved further than a limit. */
export interface SharedTempers {
  /** The limit, K. */
  readonly withinK: number
  /** Temper loads, and minutes from oven on to the last temper out. */
  readonly loads: number
  readonly totalMin: number
  /** Steels whose tempers change; empty for the batch as it is planned. */
  readonly changes: readonly TemperChange[]
}

type ExperienceOf = (group: BatchGroup) => ShopExperience | null

/** A steel whose tempers all have one temperature, with what it may be tempered at. */
interface Movable {
  readonly group: BatchGroup
  readonly atC: number
  readonly holdMin: number
  readonly limits: { readonly minC: number; readonly maxC: number }
}

/**
 * The batch as planned, then each shorter plan in which steels tempered at nearly the same temperature share their loads, by how far a
 * temper is moved: 5 to 25 °C, or 5 to 25 °F where the shop reads that scale. Steels that share have the longest of their holds. The
 * temperature is the setting at which the steel that fares worst has the best chance of its target. Errors: as hotPartOf.
 */
export function sharedTempers(batch: Batch, shop: Workshop, experienceOf: ExperienceOf): Result<SharedTempers[]> {
  // No temper changes what comes before it.
  const hot = hotPartOf(batch, shop)
  if (!hot.ok) return hot
  const found: SharedTempers[] = [told(batch, { withinK: 0, hot: hot.value, changes: [] })]
  const movable = movableOf(batch)
  for (const steps of STEPS) {
    const withinK = inKelvin(steps, shop.units)
    const best = shortest(setsOf(movable, withinK), sets => {
      const changes = changesOf(sets, { shop, experienceOf, withinK })
      return changes && told(batch, { withinK, hot: hot.value, changes })
    })
    if (best && best.totalMin < (found.at(-1)?.totalMin ?? 0) - WORTH_MIN) found.push(best)
  }
  return ok(found)
}

/** The same batch with its tempers changed so. */
export const withSharedTempers = (batch: Batch, { changes }: Pick<SharedTempers, 'changes'>): Batch => ({
  ...batch,
  groups: batch.groups.map(group => {
    const change = changes.find(({ groupId }) => groupId === group.id)
    return change ? tempered(group, change.toC, change.holdMin) : group
  }),
})

const tempered = (group: BatchGroup, atC: number, holdMin: number): BatchGroup =>
  withRoute(group, { ...group.route, tempers: group.route.tempers.map(() => ({ atC, holdMin })) })

/** The shortest plan among those with the fewest sets for which there is one. */
function shortest(
  parted: readonly Movable[][][],
  planOf: (sets: Movable[][]) => SharedTempers | null,
): SharedTempers | null {
  const counts = [...new Set(parted.map(sets => sets.length))].sort((a, b) => a - b)
  for (const count of counts) {
    const plans = parted.filter(sets => sets.length === count).flatMap(sets => planOf(sets) ?? [])
    const [first, ...rest] = plans
    if (first) return rest.reduce((best, plan) => (isBetter(plan, best) ? plan : best), first)
  }
  return null
}

const isBetter = (a: SharedTempers, b: SharedTempers): boolean =>
  a.totalMin < b.totalMin - 1 || (a.totalMin < b.totalMin + 1 && faresBetter(a.changes, b.changes))

/** Chances this close are one, and the hardness that moves less decides. */
const SAME_CHANCE = 0.005

function faresBetter(a: readonly TemperChange[], b: readonly TemperChange[]): boolean {
  const gain = leastChance(a) - leastChance(b)
  return gain > SAME_CHANCE || (gain > -SAME_CHANCE && mostMoved(a) < mostMoved(b))
}

const leastChance = (changes: readonly TemperChange[]): number =>
  Math.min(1, ...changes.map(({ chance }) => chance ?? 0))

const mostMoved = (changes: readonly TemperChange[]): number =>
  Math.max(0, ...changes.map(({ hrc, fromHrc }) => Math.abs(hrc - fromHrc)))

function movableOf(batch: Batch): Movable[] {
  const used = new Set(standing(bladesOf(batch)).map(({ group }) => group.id))
  return batch.groups
    .flatMap((group): Movable[] => {
      const limits = gradeOf(group)?.temper
      const [first, ...rest] = group.route.tempers
      if (!used.has(group.id) || !limits || !first || rest.some(({ atC }) => atC !== first.atC)) return []
      return [{ group, atC: first.atC, holdMin: Math.max(...group.route.tempers.map(t => t.holdMin)), limits }]
    })
    .sort((a, b) => a.atC - b.atC)
}

/** Every way to part steels, in rising order of temperature, into sets that lie near enough together. */
function setsOf(movable: readonly Movable[], withinK: number): Movable[][][] {
  const [first] = movable
  if (!first) return [[]]
  return movable.flatMap((last, i) =>
    last.atC - first.atC <= 2 * withinK + 1e-6
      ? setsOf(movable.slice(i + 1), withinK).map(rest => [movable.slice(0, i + 1), ...rest])
      : [],
  )
}

interface Asked {
  readonly shop: Workshop
  readonly experienceOf: ExperienceOf
  readonly withinK: number
}

/** Returns what changes where each set shares its tempers; null where a set has no setting in common. */
function changesOf(sets: readonly (readonly Movable[])[], asked: Asked): TemperChange[] | null {
  const changes: TemperChange[] = []
  for (const set of sets) {
    const own = set.length === 1 ? [] : sharedBy(set, asked)
    if (!own) return null
    for (const [i, change] of own.entries()) {
      const before = set[i]?.group.route.tempers ?? []
      const isSame = change.fromC === change.toC && before.every(({ holdMin }) => holdMin === change.holdMin)
      if (!isSame) changes.push(change)
    }
  }
  return changes
}

/** A plan of the tempers, with its loads and its time. */
function told(
  planned: Batch,
  { withinK, hot, changes }: Pick<SharedTempers, 'withinK' | 'changes'> & { readonly hot: HotPart },
): SharedTempers {
  const batch = withSharedTempers(planned, { changes })
  return { withinK, changes, loads: temperLoadsOf(batch).length, totalMin: dayAfter(hot, batch).totalMin }
}

function sharedBy(set: readonly Movable[], { shop, experienceOf, withinK }: Asked): TemperChange[] | null {
  const temperatures = set.map(({ atC }) => atC)
  const low = Math.max(Math.max(...temperatures) - withinK, ...set.map(({ limits }) => limits.minC))
  const high = Math.min(Math.min(...temperatures) + withinK, ...set.map(({ limits }) => limits.maxC))
  // What they are planned at already may be no whole setting.
  const settings = [
    ...new Set([...temperatures.filter(c => c >= low && c <= high), ...settingsBetween(low, high, shop.units)]),
  ]
  const holdMin = Math.max(...set.map(one => one.holdMin))
  const outcomes = settings.map(toC =>
    set.map(one => changeOf(one, { toC, holdMin, experience: experienceOf(one.group) })),
  )
  return outcomes.reduce<TemperChange[] | null>(
    (best, one) => (best === null || faresBetter(one, best) ? one : best),
    null,
  )
}

function changeOf(
  { group, atC }: Movable,
  {
    toC,
    holdMin,
    experience,
  }: { readonly toC: number; readonly holdMin: number; readonly experience: ShopExperience | null },
): TemperChange {
  const of = (one: BatchGroup) => {
    const grade = gradeOf(one)
    if (!grade) throw new Error(`no grade of ${one.gradeName}`)
    const { finalHrc } = predict(grade, one.route, experience)
    return { hrc: finalHrc.mean, chance: chanceInTarget(finalHrc, one.target).value }
  }
  const [planned, changed] = [of(group), of(tempered(group, toC, holdMin))]
  return {
    groupId: group.id,
    gradeName: group.gradeName,
    fromC: atC,
    toC,
    holdMin,
    fromHrc: planned.hrc,
    hrc: changed.hrc,
    fromChance: planned.chance,
    chance: changed.chance,
  }
}
