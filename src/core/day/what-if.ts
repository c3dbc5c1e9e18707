import { together } from '../batch/combined-batches'
import { type SharedSoak, soakToShare } from '../load/shared-soak'
import { newOven } from '../shop/defaults'
import type { DayBatch, ShopDay } from './day-batch'
import { planDay } from './plan'
import { GRID_MIN, upToGrid, type Window } from './problem'
import { shopProblem } from './shop-problem'

/** Something that could be otherwise, and when all would be done then; null: then too it cannot be. */
export interface Help {
  readonly code: 'helper' | 'second-set' | 'temper-oven' | 'longer-hours' | 'heats-alone' | 'share-soak' | 'leave-out'
  /** The batches it is about; none where it is about the shop. */
  readonly batchIds: readonly string[]
  /** Hands would be there until then, min; 0 where it is not about hours. */
  readonly untilMin: number
  /** For a shared soak: at what, and what it does to each steel, HRC. */
  readonly soak: SharedSoak | null
  readonly finishMin: number
  /** How much sooner all is done; null: only so it can be done at all. */
  readonly savedMin: number | null
}

/** Less is not worth saying. */
const WORTH_MIN = 15
/** Hands stay so much longer on the first day that is left, min. */
const LONGER_MIN = [60, 120, 180, 240, 300, 360]
const MOST_TOLD = 6

interface Variant extends Omit<Help, 'finishMin' | 'savedMin'> {
  readonly day: ShopDay
}

/**
 * Returns the changes that would bring the day's end nearer, each planned in full, the most helpful first. `plannedMin`: end of the
 * plan that is shown; a help is only told where its own plan ends before that.
 */
export function helpsOf(day: ShopDay, visits: number, plannedMin: number | null = null): Help[] {
  const finishOf = (of: ShopDay): number | null => {
    const answer = planDay(shopProblem(of).problem, { visits })
    return answer.feasible ? answer.plan.finishMin : null
  }
  const now = plannedMin ?? finishOf(day)
  const helpOf = ({ day: changed, ...variant }: Variant): Help[] => {
    const finishMin = finishOf(changed)
    if (finishMin === null) return []
    const savedMin = now === null ? null : now - finishMin
    return savedMin !== null && savedMin < WORTH_MIN ? [] : [{ ...variant, finishMin, savedMin }]
  }
  const longer = longerHours(day, now).flatMap(helpOf)
  // Best is what gets all of it done on the same day; else the least that helps.
  const stay = longer.find(help => help.finishMin <= help.untilMin) ?? longer[0]
  return [...variantsOf(day).flatMap(helpOf), ...(stay ? [stay] : [])]
    .sort(
      (a, b) =>
        // To do less is no help but the last.
        Number(a.code === 'leave-out') - Number(b.code === 'leave-out') ||
        (b.savedMin ?? Number.POSITIVE_INFINITY) - (a.savedMin ?? Number.POSITIVE_INFINITY),
    )
    .slice(0, MOST_TOLD)
}

function variantsOf(day: ShopDay): Variant[] {
  const { shop } = day
  const about = { batchIds: [], untilMin: 0, soak: null }
  const withPlates = (change: Partial<typeof shop.plates>): ShopDay => ({
    ...day,
    shop: { ...shop, plates: { ...shop.plates, ...change } },
  })
  const variants: Variant[] = []
  if ((shop.plates.people ?? 1) < 2 || day.helper.length === 0)
    variants.push({ ...about, code: 'helper', day: { ...withPlates({ people: 2 }), helper: day.work } })
  if ((shop.plates.sets ?? 1) < 2) variants.push({ ...about, code: 'second-set', day: withPlates({ sets: 2 }) })
  if (shop.temperingOvenId === null || shop.temperingOvenId === shop.hardeningOvenId) {
    const extra = newOven('day-extra-oven', 'A tempering oven', 'small')
    const more = { ...shop, ovens: [...shop.ovens, extra], temperingOvenId: extra.id }
    variants.push({ ...about, code: 'temper-oven', day: { ...day, shop: more } })
  }
  if (!day.heatsAlone) variants.push({ ...about, code: 'heats-alone', day: { ...day, heatsAlone: true } })
  return [...variants, ...shared(day), ...without(day)]
}

/** The hours of the first day that is left made longer bit by bit, where all is not done on it. */
function longerHours(day: ShopDay, finishMin: number | null): Variant[] {
  const { work, nowMin } = day
  const first = work.findIndex(([, to]) => to > nowMin)
  const window = work[first]
  if (!window || (finishMin !== null && finishMin <= window[1])) return []
  const nextMin = work[first + 1]?.[0] ?? Number.POSITIVE_INFINITY
  return LONGER_MIN.map(more => window[1] + more)
    .filter(untilMin => untilMin < nextMin)
    .map(untilMin => ({
      code: 'longer-hours',
      batchIds: [],
      untilMin,
      soak: null,
      day: { ...day, work: work.map((one, i): Window => (i === first ? [one[0], untilMin] : one)) },
    }))
}

const isWhole = ({ progress }: DayBatch): boolean => progress.size === 0

/** Steels of one batch, or of two, that could be soaked at one temperature. */
function shared(day: ShopDay): Variant[] {
  const whole = day.batches.filter(isWhole)
  const sets = [...whole.map(one => [one]), ...whole.flatMap((a, i) => whole.slice(i + 1).map(b => [a, b]))]
  for (const set of sets) {
    const [first, ...rest] = set.map(({ batch }) => batch)
    const soak = first ? soakToShare(together([first, ...rest]), day.shop.units) : null
    if (!soak) continue
    const atC = new Map(soak.changes.map(({ groupId }) => [groupId, soak.atC]))
    const batches = day.batches.map(one => ({
      ...one,
      batch: {
        ...one.batch,
        groups: one.batch.groups.map(group => ({
          ...group,
          route: { ...group.route, austenitizeC: atC.get(group.id) ?? group.route.austenitizeC },
        })),
      },
    }))
    return [
      { code: 'share-soak', batchIds: set.map(({ batch }) => batch.id), untilMin: 0, soak, day: { ...day, batches } },
    ]
  }
  return []
}

/** Each batch left for another day. */
const without = (day: ShopDay): Variant[] =>
  day.batches.length < 2
    ? []
    : day.batches.filter(isWhole).map(({ batch }) => ({
        code: 'leave-out',
        batchIds: [batch.id],
        untilMin: 0,
        soak: null,
        day: { ...day, batches: day.batches.filter(one => one.batch.id !== batch.id) },
      }))

/** Halvings of the time that is left: to within some minutes. */
const HALVINGS = 7

/**
 * When the first load may go in at the latest for all to be done by the end of the day's hours, min; null where it cannot be done by
 * then even at once, or nothing is to be loaded.
 */
export function latestStart(
  day: ShopDay,
  visits: number,
): { readonly startMin: number; readonly byMin: number } | null {
  const byMin = day.work.find(([, to]) => to > day.nowMin)?.[1]
  if (byMin === undefined || !day.batches.some(isWhole)) return null
  /** When the first load goes in, if none may before `fromMin`; null where all is not done in time. */
  const loadedFrom = (fromMin: number): number | null => {
    const batches = day.batches.map(one =>
      isWhole(one) ? { ...one, notBeforeMin: Math.max(one.notBeforeMin, fromMin) } : one,
    )
    const answer = planDay(shopProblem({ ...day, batches }).problem, { visits })
    if (!answer.feasible || answer.plan.finishMin > byMin) return null
    return answer.plan.tasks.find(task => task.kind === 'load')?.startMin ?? null
  }
  let latest = loadedFrom(day.nowMin)
  if (latest === null) return null
  let [low, high] = [latest, byMin]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = upToGrid((low + high) / 2)
    const loaded = loadedFrom(middle)
    if (loaded === null) high = middle - GRID_MIN
    else {
      latest = Math.max(latest, loaded)
      low = Math.max(middle, loaded)
    }
    if (high <= low) break
  }
  return { startMin: latest, byMin }
}
