import { lazy, Suspense, useEffect, useMemo, useState } from 'react'
import { standing } from '../../core/batch/blade-state'
import { together, toldApart } from '../../core/batch/combined-batches'
import { bladesOf } from '../../core/batch/tray'
import type { AirRefused } from '../../core/codes/caution'
import type { Problem } from '../../core/codes/problem'
import { steelKgOf } from '../../core/load/loads'
import { tempersWaiting } from '../../core/load/tempers-done'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import type { Workshop } from '../../core/shop/workshop'
import { useInHand } from '../../store/in-hand'
import { useRunsOf, useRunsOfSome } from '../../store/run-hooks'
import { onlyShows } from '../../store/shared-role'
import { Problems } from '../../ui/Problems'
import { addressPart } from '../address'
import { coldAmount } from '../batch/benches/cold/cold-amount'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { fetchRunView } from './fetch-run-view'
import { useRunPlan } from './use-run-plan'

const RunDone = lazy(() => import('./RunDone'))
const RunHelper = lazy(() => import('./RunHelper'))
const RunShown = lazy(() => import('./RunShown'))
const RunStart = lazy(() => import('./RunStart'))
const RunView = lazy(fetchRunView)

/** The hot run of a batch, or its practice, which is a place of its own: nothing of it counts. */
export default function RunPlace({
  batchId = addressPart(2),
  mode = 'shop',
}: {
  batchId?: string
  mode?: Run['mode']
}) {
  // What a run is led with is here before one begins; where it cannot be fetched, that is said then.
  useEffect(() => void fetchRunView().catch(() => undefined), [])
  return (
    <Place>
      <Suspense fallback={<p className="p-8">Reading …</p>}>
        <LoadedRun batchId={batchId} mode={mode} />
      </Suspense>
    </Place>
  )
}

function LoadedRun({ batchId, mode }: { batchId: string; mode: Run['mode'] }) {
  const shop = useShopNow()
  const runs = useRunsOf(batchId, mode)
  const run = runs?.at(-1)
  const batches = useInHand([batchId, ...(run?.batchIds ?? [])])?.batches
  const shopRuns = useRunsOf(batchId)
  const [again, setAgain] = useState<'all' | 'tempers' | null>(null)
  const [people, setPeople] = useState<1 | 2>(shop.plates.people ?? 1)
  const [withIds, setWithIds] = useState<readonly string[]>([])
  const others = useOthers(batches, batchId)
  const isGoing = run !== undefined && run.endedAt === null
  const isToBegin = runs !== undefined && !isGoing && (run === undefined || again !== null)
  const batchIds = useMemo(
    () => (isGoing ? run.batchIds : again === 'tempers' ? [batchId] : [batchId, ...withIds]),
    [isGoing, run, again, batchId, withIds],
  )
  const batch = useMemo(() => allOf(batches, batchIds, together), [batches, batchIds])
  const shownIds = run?.batchIds ?? batchIds
  const shown = useMemo(() => allOf(batches, shownIds, toldApart), [batches, shownIds])
  const planned = useMemo(() => ({ ...shop, plates: { ...shop.plates, people } }), [shop, people])
  const { plan, isOld } = useRunPlan(isToBegin ? (batch ?? null) : null, planned, {
    batchIds,
    before: again === 'tempers' ? (runs ?? null) : null,
  })
  if (batch === undefined || shown === undefined || runs === undefined || shopRuns === undefined)
    return <p className="p-8">Reading …</p>
  if (batch === null || shown === null)
    return (
      <p className="p-8">
        There is no such batch in this browser.{' '}
        <a className="link" href="/batches">
          See all batches
        </a>
      </p>
    )
  if (isGoing) return <Board key={run.id} batch={shown} run={run} />
  if (run && !again)
    return (
      <RunDone
        batch={shown}
        run={run}
        earlier={runs.slice(0, -1)}
        waiting={mode === 'shop' ? tempersWaiting(batch, runs) : []}
        onAgain={setAgain}
      />
    )
  if (plan === undefined) return <p className="p-8">Working out the pull list …</p>
  if (!plan.ok) return <CannotRun batch={batch} problems={plan.problems} />
  return (
    <RunStart
      batch={batch}
      batchIds={batchIds}
      mode={mode}
      plan={plan.value}
      isOldPlan={isOld}
      refused={again === 'tempers' ? null : coldRefusal(batch, shop)}
      people={people}
      onPeople={setPeople}
      others={again === 'tempers' ? [] : others}
      onWith={id => setWithIds(ids => (ids.includes(id) ? ids.filter(one => one !== id) : [...ids, id]))}
      onStarted={() => setAgain(null)}
    />
  )
}

/** Some batches as one; null where none is left, undefined while they are read. */
function allOf(
  batches: readonly Batch[] | undefined,
  ids: readonly string[],
  as: (batches: readonly [Batch, ...Batch[]]) => Batch,
): Batch | null | undefined {
  if (!batches) return undefined
  const [first, ...rest] = ids.flatMap(id => batches.find(batch => batch.id === id) ?? [])
  return first ? as([first, ...rest]) : null
}

/** Planned batches of the same oven that were not run yet: they can go into one run with this one. */
function useOthers(batches: readonly Batch[] | undefined, batchId: string): readonly Batch[] {
  const runs = useRunsOfSome(batches)
  return useMemo(() => {
    const own = batches?.find(batch => batch.id === batchId)
    if (!own || !batches || !runs) return []
    const ran = new Set(runs.flatMap(run => run.batchIds))
    return batches.filter(
      other => other.id !== batchId && other.ovenId === own.ovenId && other.blades.length > 0 && !ran.has(other.id),
    )
  }, [batches, batchId, runs])
}

/** Without its oven or its grade nothing may be run: why, and where it is mended. */
const CannotRun = ({ batch, problems }: { batch: Batch; problems: readonly Problem[] }) => (
  <div className="mx-auto w-full max-w-3xl p-6 text-large md:p-10">
    <h1 className="text-figure-small font-semibold">{batch.name}</h1>
    <Problems of={problems} className="my-4 !text-[#ffb8a3]" />
    <a className="run-action" href={`/batch/${batch.id}/heat`}>
      To the Heat bench
    </a>
  </div>
)

/** Why a batch's cold may not be done in this room; null where it may. */
function coldRefusal(batch: Batch, shop: Workshop): AirRefused | null {
  const chilled = batch.groups.filter(group => group.route.cold !== null)
  const steelKg = steelKgOf(standing(bladesOf(batch)).filter(blade => blade.group.route.cold !== null))
  const refusals = chilled.flatMap(
    group => (group.route.cold && coldAmount(group.route.cold, steelKg, shop)?.air.refused) || [],
  )
  return refusals[0] ?? null
}

/** The board of a run that goes on, as this screen shows it: the plates’ part alone, all of it to be read, or all of it to be led. */
function Board({ batch, run }: { batch: Batch; run: Run }) {
  if (new URLSearchParams(location.search).has('helper')) return <RunHelper batch={batch} run={run} />
  return onlyShows() ? <RunShown batch={batch} run={run} /> : <RunView batch={batch} run={run} />
}
