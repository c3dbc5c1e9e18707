import { lazy, Suspense, useEffect, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { latestStage, predictionAt, stagesOf } from '../../../core/batch/hardness-stages'
import { type BatchBlade, countOf, routeOfBlade } from '../../../core/batch/tray'
import type { ImportedReading } from '../../../core/files/readings-import'
import { measuredAt } from '../../../core/hardness/measured-hardness'
import { isChecked } from '../../../core/hardness/tester'
import type { Place } from '../../../core/rockwell/places'
import type { FacedReading } from '../../../core/rockwell/round-face'
import { BOUNDS } from '../../../core/shop/bounds'
import type { Reading } from '../../../core/shop/reading'
import type { Stage } from '../../../core/shop/route'
import { addReadings } from '../../../store/records'
import { Bench } from '../../../ui/Bench'
import { PlaceBoard } from '../../../ui/drawings/PlaceBoard'
import { More } from '../../../ui/More'
import { SelectField } from '../../../ui/PlainFields'
import { Problems } from '../../../ui/Problems'
import { QuantityField } from '../../../ui/QuantityField'
import { toast } from '../../../ui/toast'
import { ViewChoice } from '../../../ui/ViewChoice'
import { hrcText } from '../../../words/speaker'
import { stageName } from '../../../words/stages'
import { unlessTyping } from '../../keys'
import { undoable } from '../../undo'
import { useKeptText } from '../../use-kept-text'
import { useMeasured } from '../../use-measured'
import { useBench } from '../bench-context'
import { newId } from '../edit'
import { focusNextReadings } from '../focus-readings'
import { EmptyTray } from './EmptyTray'
import { MeasureFigures } from './measure/MeasureFigures'
import { ReadingsFile } from './measure/ReadingsFile'
import { ReadingsTable } from './measure/ReadingsTable'
import { RunOfReadings } from './measure/RunOfReadings'
import { TesterButton } from './measure/TesterButton'

/** A round face to begin with, mm. */
const USUAL_MM = 12

/** Whether the next readings are taken on a flat or on a round face, which reads low. */
function FaceField({ faceMm, onFace }: { faceMm: number | null; onFace: (mm: number | null) => void }) {
  return (
    <div className="ml-auto flex flex-wrap items-center gap-2">
      <label className="inline-flex min-h-touch items-center gap-2 text-small">
        <input type="checkbox" checked={faceMm !== null} onChange={e => onFace(e.target.checked ? USUAL_MM : null)} />
        on a round face
      </label>
      {faceMm !== null && (
        <div className="w-28">
          <QuantityField
            label="Its diameter"
            dimension="length"
            value={faceMm}
            {...BOUNDS.faceDiameterMm}
            onCommit={onFace}
          />
        </div>
      )}
    </div>
  )
}

const FilesView = lazy(() => import('./measure/FilesView'))
const SpreadView = lazy(() => import('./measure/SpreadView'))

const VIEWS = [
  ['blade', 'On the blade'],
  ['files', 'By files'],
  ['spread', 'Blade to blade'],
] as const

/** Readings by blade and stage: typed as a run, each with its uncertainty, each undoable. */
export function MeasureBench() {
  const { shown, blades: all } = useBench()
  const blades = all.filter(b => b.group.id === shown.group.id)
  const [pickedId, setPickedId] = useState<string | null>(() => new URLSearchParams(location.search).get('blade'))
  const blade = blades.find(b => b.id === pickedId) ?? blades[0]
  const following = blade && blades[(blades.indexOf(blade) + 1) % blades.length]?.id
  useEffect(() => tinykeys(window, { n: unlessTyping(() => following && setPickedId(following)) }), [following])
  if (!blade) return <EmptyTray title="Measure" what="places for readings" />
  return <MeasureBlade blade={blade} blades={blades} onPick={setPickedId} />
}

interface MeasureProps {
  readonly blade: BatchBlade
  /** Blades of the shown steel, in the order they are read. */
  readonly blades: readonly BatchBlade[]
  readonly onPick: (bladeId: string) => void
}

function MeasureBlade({ blade, blades, onPick }: MeasureProps) {
  const { batch, shown, shop, readings, groups, go, show } = useBench()
  const { prediction } = shown
  const [pickedStage, setStage] = useState<Stage | null>(null)
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('blade')
  const [faceMm, setFaceMm] = useState<number | null>(null)
  const [next, setNext] = useState<readonly Place[]>([])
  const pick = (id: string) => {
    onPick(id)
    setNext([])
  }
  const ids = new Set(blades.map(b => b.id))
  const ofGroup = readings.filter(r => r.bladeId !== null && ids.has(r.bladeId))
  // A blade with a temper of its own has a stage more than its group.
  const route = routeOfBlade(blade)
  const stages = stagesOf(route)
  // A blade with a temper of its own is read after it, whatever the others were read at.
  const usual = blade.record.tempers?.length ? stages.at(-1) : latestStage(route, ofGroup)
  const stage = (pickedStage && stages.includes(pickedStage) ? pickedStage : usual) ?? stages.at(-1) ?? 'as-quenched'
  const ofStage = ofGroup.filter(r => r.stage === stage)
  const own = ofStage.filter(r => r.bladeId === blade.id)
  const predicted = predictionAt(prediction, stage)
  const textKey = `readings ${blade.id} ${stage}`
  const { text, set: setText, giveBack, letGo } = useKeptText(textKey)
  const answer = useMeasured(batch, shown.group.id, readings)
  const measured = answer?.ok ? answer.value.blades : undefined
  const hardness = measured && measuredAt(measured, blade.id, stage)
  const record = async (
    read: readonly Pick<Reading, 'bladeId' | 'stage' | 'hrc' | 'roundFace' | 'place'>[],
    onLater?: () => void,
  ) => {
    const at = new Date().toISOString()
    const fresh = read.map(
      (reading, i): Reading => ({
        id: newId(),
        batchId: batch.id,
        ...reading,
        // A moment apart each, so that they stay in the order they were typed.
        at: new Date(Date.parse(at) + i).toISOString(),
        deletedAt: null,
        ...(isChecked(shop.tester, at) ? {} : { unchecked: true }),
      }),
    )
    return (await addReadings(fresh, onLater)).saved ? fresh : null
  }
  /** After the last blade of a steel the next steel with blades comes, ready to be typed in; after the last of all none. */
  const nextSteel = () => {
    const withBlades = groups.filter(({ group }) => countOf(batch, group.id) > 0)
    const following = withBlades[withBlades.findIndex(({ group }) => group.id === shown.group.id) + 1]
    if (!following) return
    focusNextReadings()
    show(following.group.id)
  }
  const addFile = async (read: readonly ImportedReading[]) => {
    const fresh = await record(read.map(({ bladeId, stage: at, hrc }) => ({ bladeId, stage: at, hrc })))
    if (fresh) toast(`${fresh.length} readings recorded.`)
    return fresh !== null
  }
  const add = (faced: readonly FacedReading[]) => {
    const places = next
    setNext([])
    // The next blade is shown at once: what is typed from now on is of it, however long the storing takes.
    const following = blades[blades.indexOf(blade) + 1]
    if (following) onPick(following.id)
    else nextSteel()
    const typed = faced.map(read => read.roundFace?.shownHrc ?? read.hrc).join(' ')
    void record(
      faced.map((read, i) => ({ bladeId: blade.id, stage, ...read, ...(places[i] ? { place: places[i] } : {}) })),
      () => letGo(textKey, typed),
    ).then(fresh => {
      if (!fresh) return giveBack(textKey, typed)
      undoable(
        `${blade.mark} ${stageName(stage)}: ${fresh.map(r => hrcText(r.hrc)).join(', ')}${faceMm === null ? '' : ', with its round face counted'}`,
      )
    })
  }
  return (
    <Bench
      title="Measure"
      says="Three readings a blade, under the handle. 605 is 60.5; 6056160 is 60.5, 61 and 60."
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        <>
          {view === 'blade' && (
            <>
              <PlaceBoard
                key={blade.id}
                blade={blade.line}
                mark={blade.mark}
                readings={own.map(r => ({ hrc: r.hrc, place: r.place ?? null }))}
                next={next}
                expectedHrc={Math.min(68, Math.max(30, predicted?.mean ?? 60))}
                onPlace={place => setNext([...next, place])}
              />
              <ReadingsTable
                blades={blades}
                stage={stage}
                readings={readings}
                measured={measured}
                shownId={blade.id}
                onPick={pick}
              />
            </>
          )}
          {answer && !answer.ok && <Problems of={answer.problems} />}
          <Suspense fallback={null}>
            {view === 'files' && <FilesView blade={blade} stage={stage} together={hardness ?? null} />}
            {view === 'spread' && measured && <SpreadView stage={stage} measured={measured} />}
          </Suspense>
        </>
      }
      figures={
        <MeasureFigures
          hardness={hardness}
          ofAll={shown.measured.get(stage) ?? null}
          mark={blade.mark}
          predicted={predicted?.mean ?? null}
          stage={stageName(stage)}
          thicknessMm={blade.line.thicknessMm}
          onVerdict={() => go('verdict')}
        />
      }
      fields={
        <div className="grid gap-3 sm:grid-cols-[1fr_120px_180px]">
          <RunOfReadings
            mark={blade.mark}
            text={text}
            faceMm={faceMm}
            isDial={shop.tester.dial}
            known={own.map(r => r.roundFace?.shownHrc ?? r.hrc)}
            predictedHrc={predicted?.mean ?? null}
            onText={setText}
            onAdd={add}
          />
          <SelectField
            label="Blade"
            value={blade.id}
            options={blades.map(b => [b.id, b.mark] as const)}
            onCommit={pick}
          />
          <SelectField
            label="Stage"
            value={stage}
            options={stages.map(s => [s, stageName(s)] as const)}
            onCommit={setStage}
          />
          <div className="sm:col-span-3">
            <More place="measure" title="Other ways to read" says="a tester on a cable, a file, a round face">
              <div className="flex flex-wrap items-center gap-2">
                <TesterButton underItHrc={predicted?.mean ?? 60} onReading={hrc => setText(`${text} ${hrc}`.trim())} />
                <ReadingsFile stage={stage} onTake={addFile} />
                <FaceField faceMm={faceMm} onFace={setFaceMm} />
              </div>
            </More>
          </div>
        </div>
      }
    />
  )
}
