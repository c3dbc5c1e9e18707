import { bladeProgress } from '../../core/batch/blade-progress'
import type { Request } from '../../core/contract/questions'
import type { DayBatch } from '../../core/day/day-batch'
import type { Batch } from '../../core/shop/batch'
import { NEVER, USUAL_HOURS } from '../../core/shop/hours'
import type { Run } from '../../core/shop/run'
import type { Workshop } from '../../core/shop/workshop'
import { DAY_MIN, minutesBetween } from '../../core/units/time'
import { workWindows } from './work-windows'

/** Days that are planned. */
const PLANNED_DAYS = 14
/** Batches that are planned at once; the others are said to wait. */
const MOST_PLANNED = 20

export type DayRequest = Request<'day'>

/** Request of the day's question, and the batches in it. */
export interface DayAsked {
  readonly request: Omit<DayRequest, 'visits'>
  readonly batches: readonly DayBatch[]
  /** Batches for which there is no room in the plan. */
  readonly leftOut: number
}

interface DaySources {
  /** Newest first, as are the runs. */
  readonly batches: readonly Batch[]
  readonly runs: readonly Run[]
  /** Batches with a reading. */
  readonly measured: ReadonlySet<string>
  readonly shop: Workshop
  readonly origin: Date
  readonly nowMin: number
}

/** All batches that are to come or under way as one question, times in min from today's midnight. */
export function dayAsked({ batches, runs, measured, shop, origin, nowMin }: DaySources): DayAsked {
  const hours = shop.hours ?? USUAL_HOURS
  const since = (ms: number) => minutesBetween(origin.getTime(), ms)
  const minutes = (instant: string | null | undefined) => (instant ? since(Date.parse(instant)) : null)
  const own = batches.flatMap((batch): DayBatch[] => {
    const ofBatch = runs.filter(run => run.batchIds.includes(batch.id))
    const progress = bladeProgress([...ofBatch].reverse())
    if (batch.blades.length === 0 || (measured.has(batch.id) && progress.size === 0)) return []
    if (batch.day?.later && progress.size === 0) return []
    const from = minutes(batch.day?.from)
    return [
      {
        batch,
        progress: new Map(
          [...progress].map(([id, { kind, round, atMs, loadedMs }]) => [
            id,
            { kind, round, atMin: since(atMs), loadedMin: since(loadedMs) },
          ]),
        ),
        running: ofBatch.some(run => run.endedAt === null),
        notBeforeMin: Math.max(0, from ?? 0),
        notAfterMin: batch.day?.exactly && from !== null ? from : Number.POSITIVE_INFINITY,
        deadlineMin: minutes(batch.day?.doneBy),
        heatedInMin: new Map(
          (batch.heatsBefore ?? []).flatMap(({ bladeIds, inAt, outAt }) =>
            outAt === null ? bladeIds.map((id): [string, number] => [id, since(Date.parse(inAt))]) : [],
          ),
        ),
      },
    ]
  })
  const told = own.slice(0, MOST_PLANNED)
  return {
    request: {
      batches: told.map(({ batch, progress, running, notBeforeMin, notAfterMin, deadlineMin, heatedInMin }) => ({
        batch,
        running,
        progress: Object.fromEntries(progress),
        notBeforeMin,
        notAfterMin: Number.isFinite(notAfterMin) ? notAfterMin : null,
        deadlineMin,
        heatedInMin: Object.fromEntries(heatedInMin ?? []),
      })),
      shop,
      work: workWindows(hours, origin, PLANNED_DAYS),
      helper: workWindows(hours.helper ?? NEVER, origin, PLANNED_DAYS),
      cheap: cheapWindows(shop.prices?.cheap, origin),
      nowMin,
      heatsAlone: hours.heatsAlone,
    },
    batches: told,
    leftOut: own.length - told.length,
  }
}

/** When electricity costs less, each day by the clock on the wall; the night before the first day's morning counts as well. */
function cheapWindows(cheap: NonNullable<Workshop['prices']>['cheap'], origin: Date) {
  if (!cheap) return []
  const toMin = cheap.toMin > cheap.fromMin ? cheap.toMin : cheap.toMin + DAY_MIN
  const windows = workWindows({ week: Array.from({ length: 7 }, () => [[cheap.fromMin, toMin]]) }, origin, PLANNED_DAYS)
  return [...(toMin > DAY_MIN ? [[0, toMin - DAY_MIN] as [number, number]] : []), ...windows]
}
