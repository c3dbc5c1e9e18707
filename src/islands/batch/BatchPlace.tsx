import { lazy, Suspense, startTransition, useCallback, useEffect, useMemo, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { stationStates } from '../../core/batch/station-states'
import { bladesOf } from '../../core/batch/tray'
import type { BatchModel } from '../../core/bench/batch-model'
import type { Problem } from '../../core/codes/problem'
import { goesIntoOil } from '../../core/equipment/quench-way'
import { loadOfGroup } from '../../core/load/loads'
import type { Batch } from '../../core/shop/batch'
import type { Reading } from '../../core/shop/reading'
import type { PlannedRoute } from '../../core/shop/route'
import { STATIONS, type StationName } from '../../data/stations'
import { type Loaded, useBatch, useBegun, useReadings } from '../../store/hooks'
import { fetchHeatLine, HeatLine } from '../../ui/heatline/heat-line-part'
import { Problems } from '../../ui/Problems'
import { labelOf } from '../../words/station-name'
import { useWarmUp } from '../../workers/use-answer'
import { addressPart } from '../address'
import { unlessTyping } from '../keys'
import { Place } from '../Place'
import { useArrived } from '../use-arrived'
import { learntOf } from '../use-learnt'
import { BatchHeader } from './BatchHeader'
import { type Bench, BenchProvider } from './bench-context'
import { BENCHES, fetchBench } from './benches'
import { focusReadings } from './focus-readings'
import { chosenMoment, useMoment } from './moment'
import { StationStep } from './StationStep'
import { useBatchModel } from './use-batch-model'
import { useTour } from './use-tour'
import { useTrace } from './use-trace'

export default function BatchPlace({ id = addressPart(2), station = stationHere() }) {
  // What the first drawing waits for is under way while the page reads the batch.
  useWarmUp(['batch'], id)
  useEffect(fetchHeatLine, [])
  useEffect(() => fetchBench(station), [station])
  // Read while the page begins, not after.
  const batch = useBatch(id)
  const readings = useReadings(id)
  return (
    <Place>
      {/* Above all that is drawn bit by bit: the batch comes with its line, in one piece. */}
      <Suspense fallback={<BatchFrame />}>
        <LoadedBatch batch={batch} readings={readings} first={station} />
      </Suspense>
    </Place>
  )
}

interface LoadedProps {
  readonly batch: Loaded<Batch>
  readonly readings: readonly Reading[] | undefined
  readonly first: StationName
}

function LoadedBatch({ batch, readings, first }: LoadedProps) {
  if (batch === undefined) return <BatchFrame />
  if (batch === null || batch.deletedAt !== null)
    return (
      <div className="p-6">
        <h1 className="text-heading">There is no such batch here</h1>
        <p className="my-3">
          It was deleted, or it belongs to another browser. Data stays in the browser it was entered in.
        </p>
        <a className="btn btn-ember" href="/batches">
          See all batches
        </a>
      </div>
    )
  return <BatchView batch={batch} readings={readings} first={first} />
}

/** Soot where the Heat Line will be, so that nothing jumps. */
export const BatchFrame = () => <div className="min-h-[236px] bg-soot" />

function BatchView({ batch, readings, first }: LoadedProps & { readonly batch: Batch }) {
  const [station, go] = useStation(batch, first)
  const [previewed, preview] = usePreview(batch)
  const model = useBatchModel(previewed, readings)
  useBatchKeys(station, go)
  const isDrawn = useArrived(model !== undefined)
  if (!model || !isDrawn) return <BatchFrame />
  if (!model.ok) return <Problems of={model.problems} className="m-6" />
  return <Benches model={model.value} station={station} go={go} preview={preview} />
}

interface BenchesProps {
  readonly model: BatchModel
  readonly station: StationName
  readonly go: Bench['go']
  readonly preview: Bench['preview']
}

/** Returns the group of the blade that the address names; undefined where it names none. */
const groupAsked = (batch: Batch): string | undefined => {
  const bladeId = new URLSearchParams(location.search).get('blade')
  return bladesOf(batch).find(blade => blade.id === bladeId)?.group.id
}

/** Header, Heat Line and the bench of one station, for the steel that is shown. */
function Benches({ model, station, go, preview }: BenchesProps) {
  const { batch, shop } = model
  const [groupId, setGroupId] = useState(() => groupAsked(batch) ?? batch.groups[0]?.id ?? '')
  const shown = model.groups.find(g => g.group.id === groupId) ?? model.groups[0]
  const { trace, now, run, runs } = useTrace(model, shown)
  // Until it is known nothing is called a suggestion.
  const begun = useBegun(batch) ?? true
  const lot = shown?.group.lot ?? ''
  const { id: batchId, ovenId } = batch
  const learnt = useMemo(
    () => learntOf(shop, { lot, ovenId: ovenId ?? '', exceptBatchId: batchId }),
    [shop, lot, ovenId, batchId],
  )
  const states = useMemo(
    () => shown && stationStates({ batch, group: shown.group, runs, measured: new Set(shown.measured.keys()) }),
    [batch, shown, runs],
  )
  const moment = useMoment()
  const [isTouring, leaveTour] = useTour()
  useSteelKey(model, groupId, setGroupId)
  const shownId = shown?.group.id
  // A moment is one of the plan it was chosen on.
  // biome-ignore lint/correctness/useExhaustiveDependencies: another steel has another plan.
  useEffect(() => () => chosenMoment.set(null), [shownId])
  if (!shown || !states) return model.unknown.length > 0 ? <NothingKnown model={model} /> : <BatchFrame />
  const Bench = BENCHES[station]
  return (
    <BenchProvider
      value={{
        ...model,
        shown,
        load: loadOfGroup(model.loads, shown.group.id),
        begun,
        learnt,
        go,
        show: setGroupId,
        preview,
      }}
    >
      <div className="on-soot bg-soot text-bone">
        <BatchHeader model={model} groupId={shown.group.id} onGroup={setGroupId} run={run} onHeat={() => go('heat')} />
        {shown.stretches.length > 0 && (
          <HeatLine
            stretches={shown.stretches}
            others={model.groups.filter(g => g !== shown).map(g => g.stretches)}
            system={model.shop.units}
            stations={{
              at: station,
              hrefOf: name => hrefOf(batch.id, name),
              onStation: go,
              oil: goesIntoOil(shown.group, shop),
              states,
            }}
            trace={trace}
            now={now}
            hardness={shown.stages}
            moment={{ at: moment, onMoment: chosenMoment.set }}
          />
        )}
      </div>
      {!model.oven.ok && <MissingOven station={station} go={go} problems={model.oven.problems} />}
      {model.unknown.length > 0 && <SaidUnknown model={model} />}
      {/* One box whatever bench stands in it: what comes below it watches how tall it is. */}
      <div>
        <Suspense fallback={<div className="min-h-[560px]" />}>
          <Bench key={shown.group.id} />
        </Suspense>
      </div>
      <Suspense fallback={null}>
        <NextStation station={station} go={go} oil={goesIntoOil(shown.group, shop)} />
      </Suspense>
      <StationStep station={station} go={go} oil={goesIntoOil(shown.group, shop)} />
      {isTouring && (
        <Suspense fallback={null}>
          <Tour station={station} go={go} leave={leaveTour} />
        </Suspense>
      )}
      <p className="sr-only" role="status">
        {labelOf(station)} bench, {model.blades.length} blades
      </p>
    </BenchProvider>
  )
}

/** Without its oven nothing can be keyed: it is said at every bench, with the ways on, since the line above cannot be drawn. */
function MissingOven({
  station,
  go,
  problems,
}: {
  station: StationName
  go: (station: StationName) => void
  problems: readonly Problem[]
}) {
  return (
    <div className="border-b-2 border-bad bg-ember-wash px-4 py-3 md:px-6">
      <Problems of={problems} className="" />
      <nav aria-label="Benches" className="mt-1 flex flex-wrap">
        {STATIONS.map(name => (
          <button
            key={name}
            type="button"
            aria-current={name === station ? 'step' : undefined}
            className={`min-h-touch px-2 ${name === station ? 'font-semibold' : 'link'}`}
            onClick={() => go(name)}
          >
            {labelOf(name)}
          </button>
        ))}
      </nav>
    </div>
  )
}

/**
 * A route that is being dragged, shown before it is saved: the Heat Line and every figure follow it. It gives way when
 * the batch is saved.
 */
function usePreview(batch: Batch): [Batch, Bench['preview']] {
  const [draft, setDraft] = useState<{ rev: number; groupId: string; route: PlannedRoute } | null>(null)
  const preview = useCallback<Bench['preview']>(
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

const Tour = lazy(() => import('./Tour'))

/** Stands below what is worked at: fetched after it. */
const NextStation = lazy(() => import('./NextStation'))

/** Few batches have one: fetched where it is needed. */
const UnknownSteels = lazy(() => import('./UnknownSteels'))
const SaidUnknown = ({ model }: { model: BatchModel }) => (
  <Suspense fallback={null}>
    <UnknownSteels model={model} />
  </Suspense>
)

/** Not one steel of the batch is known. */
const NothingKnown = ({ model }: { model: BatchModel }) => (
  <>
    <h1 className="p-4 text-heading md:px-6">{model.batch.name}</h1>
    <SaidUnknown model={model} />
    <p className="p-4 md:px-6">Everything you entered is kept.</p>
  </>
)

const hrefOf = (batchId: string, station: StationName) => `/batch/${batchId}/${station}`

function stationHere(): StationName {
  return STATIONS.find(name => name === addressPart(3)) ?? 'choose'
}

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
    const back = () => setStation(stationHere())
    addEventListener('popstate', back)
    return () => removeEventListener('popstate', back)
  }, [])
  useEffect(() => {
    document.title = `${batch.name}, ${labelOf(station)} · Tawny Ember`
  }, [batch.name, station])
  return [station, go]
}

/** S shows the next steel of the batch, after the last the first. */
function useSteelKey({ groups }: BatchModel, groupId: string, show: (id: string) => void) {
  useEffect(
    () =>
      tinykeys(window, {
        s: unlessTyping(() => {
          const next = groups[(groups.findIndex(({ group }) => group.id === groupId) + 1) % groups.length]
          if (next) show(next.group.id)
        }),
      }),
    [groups, groupId, show],
  )
}

/** Left and right walk the Heat Line. Fields keep their own keys. */
function useBatchKeys(station: StationName, go: (station: StationName) => void) {
  useEffect(() => {
    const walk = (step: number) => {
      const next = STATIONS[STATIONS.indexOf(station) + step]
      if (next) go(next)
    }
    return tinykeys(window, {
      p: unlessTyping(() => document.querySelector<HTMLButtonElement>('[data-key="p"]')?.click()),
      r: unlessTyping(() => {
        go('measure')
        focusReadings()
      }),
      ArrowRight: unlessTyping(() => walk(1)),
      ArrowLeft: unlessTyping(() => walk(-1)),
    })
  }, [station, go])
}
