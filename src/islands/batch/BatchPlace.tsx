import { Suspense, startTransition, useCallback, useEffect, useMemo, useState } from 'react'
import { countOf } from '../../core/plan/tray'
import type { Batch, BatchGroup, Workshop } from '../../core/record/schemas'
import { STATIONS, type StationName } from '../../data/cautions'
import { useBatch } from '../../store/hooks'
import { HeatLine } from '../../ui/heatline/HeatLine'
import { labelOf } from '../../ui/heatline/StationLinks'
import { Place } from '../Place'
import { useShopFit } from '../use-shop-fit'
import { BatchHeader } from './BatchHeader'
import { BENCHES } from './benches'
import type { BenchProps } from './benches/bench-props'
import { undo } from './edit'
import { useHardness } from './use-hardness'
import { usePlans } from './use-plan'
import { useTrace } from './use-trace'

export default function BatchPlace({ id, station }: { id: string; station: StationName }) {
  return <Place>{shop => <LoadedBatch id={id} first={station} shop={shop} />}</Place>
}

function LoadedBatch({ id, first, shop }: { id: string; first: StationName; shop: Workshop }) {
  const batch = useBatch(id)
  if (batch === undefined) return <BatchFrame />
  if (batch === null || batch.deletedAt !== null)
    return (
      <div className="p-6">
        <h1 className="text-xl">There is no such batch here</h1>
        <p className="my-3">
          It was deleted, or it belongs to another browser. Data stays in the browser it was entered in.
        </p>
        <a className="btn btn-ember" href="/batches">
          See all batches
        </a>
      </div>
    )
  return <BatchView batch={batch} first={first} shop={shop} />
}

/** Soot where the Heat Line will be, so that nothing jumps. */
export const BatchFrame = () => <div className="min-h-[236px] bg-soot" />

function BatchView({ batch, first, shop }: { batch: Batch; first: StationName; shop: Workshop }) {
  const [station, go] = useStation(batch, first)
  const fit = useShopFit(batch.id)
  const [previewed, preview] = usePreview(batch)
  const plans = usePlans(previewed, shop, fit)
  const [groupId, setGroupId] = useState(batch.groups[0]?.id ?? '')
  const plan = plans.find(p => p.group.id === groupId) ?? plans[0]
  const { trace, now, run } = useTrace(batch, shop, plan)
  const hardness = useHardness(batch, shop, plan)
  useBatchKeys(batch.id, station, go)
  if (!plan) return <UnknownGrade batch={batch} />
  const Bench = BENCHES[station]
  return (
    <>
      <div className="on-soot bg-soot text-bone">
        <BatchHeader
          batch={batch}
          plans={plans}
          groupId={plan.group.id}
          onGroup={setGroupId}
          run={run}
          onHeat={() => go('heat')}
        />
        <HeatLine
          stretches={plan.stretches}
          others={plans.filter(p => p !== plan).map(p => p.stretches)}
          system={shop.units}
          stations={{ at: station, hrefOf: name => hrefOf(batch.id, name), onStation: go }}
          trace={trace}
          now={now}
          hardness={hardness}
        />
      </div>
      <Suspense fallback={<div className="min-h-[560px]" />}>
        <Bench key={plan.group.id} batch={batch} plan={plan} plans={plans} shop={shop} go={go} preview={preview} />
      </Suspense>
      <p className="sr-only" role="status">
        {labelOf(station)} bench, {countOf(batch.blades)} blades
      </p>
    </>
  )
}

/**
 * A route that is being dragged, shown before it is saved: the Heat Line and every figure follow it. It gives way when
 * the batch is saved.
 */
function usePreview(batch: Batch): [Batch, BenchProps['preview']] {
  const [draft, setDraft] = useState<{ rev: number; groupId: string; route: BatchGroup['route'] } | null>(null)
  const preview = useCallback<BenchProps['preview']>(
    // Not urgent: the point keeps to the hand, and figures and Heat Line follow as they can.
    (groupId, route) => startTransition(() => setDraft(route && { rev: batch.rev, groupId, route })),
    [batch.rev],
  )
  const shown = useMemo(() => {
    if (!draft || draft.rev !== batch.rev) return batch
    return { ...batch, groups: batch.groups.map(g => (g.id === draft.groupId ? { ...g, route: draft.route } : g)) }
  }, [batch, draft])
  return [shown, preview]
}

const UnknownGrade = ({ batch }: { batch: Batch }) => (
  <div className="p-6">
    <h1 className="text-xl">{batch.name}</h1>
    <p className="my-3">
      This batch is of grade {batch.groups.map(g => g.gradeName).join(', ')}, which this version does not know. Its data
      is kept whole.
    </p>
  </div>
)

const hrefOf = (batchId: string, station: StationName) => `/batch/${batchId}/${station}`

/** The station is part of the address: it can be reloaded, shared and gone back from. */
function useStation(batch: Batch, first: StationName): [StationName, (station: StationName) => void] {
  const [station, setStation] = useState(first)
  const go = useCallback(
    (name: StationName) => {
      history.pushState(null, '', hrefOf(batch.id, name))
      setStation(name)
    },
    [batch.id],
  )
  useEffect(() => {
    const back = () => setStation(STATIONS.find(name => location.pathname.endsWith(`/${name}`)) ?? 'choose')
    addEventListener('popstate', back)
    return () => removeEventListener('popstate', back)
  }, [])
  useEffect(() => {
    document.title = `${batch.name}, ${labelOf(station)} · Tawny Ember`
  }, [batch.name, station])
  return [station, go]
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName) ||
    target.getAttribute('role') === 'slider')

/** Left and right walk the Heat Line; Ctrl+Z takes back. Fields keep their own keys. */
function useBatchKeys(batchId: string, station: StationName, go: (station: StationName) => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target)) return
      if ((event.ctrlKey || event.metaKey) && event.key === 'z') {
        event.preventDefault()
        void undo(batchId)
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return
      const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
      const next = STATIONS[STATIONS.indexOf(station) + step]
      if (step !== 0 && next) {
        event.preventDefault()
        go(next)
      }
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [batchId, station, go])
}
