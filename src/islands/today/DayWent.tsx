import { useMemo } from 'react'
import { howItWent, inspectTimeOf } from '../../core/day/went'
import { inspectMinOf } from '../../core/job/pace'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { saveShop } from '../../store/records'
import { useSay } from '../../ui/Units'
import { apartWords, inspectWords, taskWords, wentWords } from '../../words/day'
import { marksOfBlades } from '../../words/lists'
import { useShopNow } from '../shop-context'
import { clockAt } from './day-view'
import { keptPlanOf } from './first-plan'
import type { Day } from './use-day'
import { dateOf } from './work-windows'

const INSPECT = 'Looking a load over'

interface Props {
  readonly day: Day
  readonly batches: readonly Batch[]
  /** Newest first. */
  readonly runs: readonly Run[]
}

/** What was done today against the day's first plan, and what it teaches; nothing before the first act was done. */
export function DayWent({ day: { origin }, batches, runs }: Props) {
  const say = useSay()
  const went = useMemo(() => {
    const acts = keptPlanOf(dateOf(origin))?.acts ?? []
    return howItWent(acts, [...runs].reverse(), origin.getTime()).sort((a, b) => a.startMin - b.startMin)
  }, [runs, origin])
  const done = went.filter(act => act.doneMin !== null)
  if (done.length === 0) return null
  return (
    <section aria-label="How today went" className="no-print mt-6">
      <h2 className="border-b border-rule-strong pb-1 text-lead">How today went</h2>
      <p className="py-2">{wentWords(went, say)}</p>
      <ol>
        {done.map(act => {
          const batch = batches.find(one => one.id === act.batchId)
          return (
            <li
              key={`${act.kind} ${act.batchId} ${act.round} ${act.startMin}`}
              className="grid min-h-touch grid-cols-[64px_minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule py-1"
            >
              <span className="font-semibold tabular-nums">{clockAt(origin, act.doneMin ?? 0)}</span>
              <span>
                {taskWords(act.kind, batch ? marksOfBlades(batch, act.bladeIds) : '')}{' '}
                <span className="text-ink-2">{batch?.name}</span>
              </span>
              <span className="text-right text-ink-2">{apartWords((act.doneMin ?? 0) - act.startMin, say)}</span>
            </li>
          )
        })}
      </ol>
      <InspectTaught runs={runs} />
    </section>
  )
}

/** How long looking a load over takes here, and whether plans are to reckon with that. */
function InspectTaught({ runs }: { runs: readonly Run[] }) {
  const say = useSay()
  const shop = useShopNow()
  const taught = useMemo(() => inspectTimeOf([...runs].reverse()), [runs])
  const planned = inspectMinOf(shop)
  const use = (inspectMin: number | undefined) =>
    void saveShop(({ inspectMin: _, ...now }) => (inspectMin === undefined ? now : { ...now, inspectMin }), INSPECT)
  if (!taught && shop.inspectMin === undefined) return null
  return (
    <p className="flex flex-wrap items-center gap-x-3 py-2">
      {taught && inspectWords(taught, planned, say)}
      {taught && taught.minutes !== planned && (
        <button type="button" className="btn" onClick={() => use(taught.minutes)}>
          Reckon with {say.minutes(taught.minutes)}
        </button>
      )}
      {shop.inspectMin !== undefined && (
        <button type="button" className="btn btn-plain link" onClick={() => use(undefined)}>
          Back to what is usual
        </button>
      )}
    </p>
  )
}
