import { useMemo } from 'react'
import { howItWent, inspectTimeOf, pullTimeOf } from '../../core/day/went'
import { inspectMinOf } from '../../core/equipment/quench-pace'
import type { Batch } from '../../core/shop/batch'
import { BOUNDS } from '../../core/shop/bounds'
import type { Run } from '../../core/shop/run'
import { saveShop } from '../../store/records'
import { onlyShows } from '../../store/shared-role'
import { useSay } from '../../ui/Units'
import { apartWords, inspectWords, pullsWords, taskWords, wentWords } from '../../words/day'
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

/** Compares today's work with the day's first plan; nothing before the first task was done. */
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
      {!onlyShows() && (
        <>
          <InspectTaught runs={runs} />
          <PullsTaught runs={runs} />
        </>
      )}
    </section>
  )
}

interface TaughtProps {
  readonly says: string | null
  /** Takes what was taught into the plans; null where there is nothing to take. */
  readonly take: { readonly label: string; readonly act: () => void } | null
  /** Back to what is usual; null where that is reckoned with. */
  readonly undo: (() => void) | null
}

/** Says what runs taught about one task, and whether plans use it. */
const Taught = ({ says, take, undo }: TaughtProps) =>
  says === null && undo === null ? null : (
    <p className="flex flex-wrap items-center gap-x-3 py-2">
      {says}
      {take && (
        <button type="button" className="btn" onClick={take.act}>
          {take.label}
        </button>
      )}
      {undo && (
        <button type="button" className="btn btn-plain link" onClick={undo}>
          Back to what is usual
        </button>
      )}
    </p>
  )

/** How long looking a load over takes here. */
function InspectTaught({ runs }: { runs: readonly Run[] }) {
  const say = useSay()
  const shop = useShopNow()
  const taught = useMemo(() => inspectTimeOf([...runs].reverse()), [runs])
  const planned = inspectMinOf(shop)
  const use = (inspectMin: number | undefined) =>
    void saveShop(({ inspectMin: _, ...now }) => (inspectMin === undefined ? now : { ...now, inspectMin }), INSPECT)
  return (
    <Taught
      says={taught && inspectWords(taught, planned, say)}
      take={
        taught && taught.minutes !== planned
          ? { label: `Reckon with ${say.minutes(taught.minutes)}`, act: () => use(taught.minutes) }
          : null
      }
      undo={shop.inspectMin === undefined ? null : () => use(undefined)}
    />
  )
}

/** Less is no difference for hands, s. */
const LEAST_MORE_S = 3

/** How much longer hands take at the plates here. */
function PullsTaught({ runs }: { runs: readonly Run[] }) {
  const say = useSay()
  const { plates } = useShopNow()
  const known = plates.handsMore
  const taught = useMemo(() => pullTimeOf([...runs].reverse(), known?.since ?? null), [runs, known])
  const moreS = Math.min(BOUNDS.handsMoreS.max, Math.max(BOUNDS.handsMoreS.min, (known?.s ?? 0) + (taught?.moreS ?? 0)))
  const use = (s: number | null) => {
    const since = new Date().toISOString()
    void saveShop(({ plates: { handsMore: _, ...rest }, ...now }) => {
      return { ...now, plates: s === null ? rest : { ...rest, handsMore: { s, since } } }
    }, 'Hands at the plates')
  }
  return (
    <Taught
      says={taught && pullsWords(taught, say)}
      take={
        taught && Math.abs(taught.moreS) >= LEAST_MORE_S
          ? {
              label: `Reckon with ${say.seconds(Math.abs(moreS))} ${moreS < 0 ? 'less' : 'more'} a pull`,
              act: () => use(moreS),
            }
          : null
      }
      undo={known ? () => use(null) : null}
    />
  )
}
