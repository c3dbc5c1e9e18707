import { useState } from 'react'
import { toast } from 'sonner'
import { piecesOf, routeOfPiece } from '../../../core/plan/tray'
import type { Reading } from '../../../core/record/schemas'
import type { Place } from '../../../core/rockwell/places'
import { summariseReadings } from '../../../core/rockwell/readings'
import type { FacedReading } from '../../../core/rockwell/round-face'
import { latestStage, predictedAt, stageLabel, stagesOf } from '../../../core/rockwell/stages'
import { isChecked } from '../../../core/rockwell/tester'
import { useReadings } from '../../../store/hooks'
import { addReadings, setReadingDeleted } from '../../../store/records'
import { Bench } from '../../../ui/Bench'
import { PlaceBoard } from '../../../ui/drawings/PlaceBoard'
import { SelectField } from '../../../ui/PlainFields'
import { undoable } from '../../../ui/undoable'
import { ViewChoice } from '../../../ui/ViewChoice'
import { newId } from '../edit'
import { type BenchProps, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { FaceField } from './measure/FaceField'
import { FilesView } from './measure/FilesView'
import { MeasureFigures } from './measure/MeasureFigures'
import { ReadingsFile } from './measure/ReadingsFile'
import { ReadingsTable } from './measure/ReadingsTable'
import { RunOfReadings } from './measure/RunOfReadings'
import { SpreadView } from './measure/SpreadView'
import { TesterButton } from './measure/TesterButton'

const VIEWS = [
  ['blade', 'On the blade'],
  ['files', 'By files'],
  ['spread', 'Blades and oven'],
] as const

/** Readings by blade and stage: typed as a run, each with its uncertainty, each undoable. */
export function MeasureBench({ batch, plan, shop, go }: BenchProps) {
  const { group, prediction } = plan
  const pieces = piecesOf(batch).filter(p => p.group.id === group.id)
  const all = (useReadings(batch.id) ?? []).filter(r => r.groupId === group.id)
  const [pickedMark, setMark] = useState<string | null>(null)
  const [pickedStage, setStage] = useState<Reading['stage'] | null>(null)
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('blade')
  const [text, setText] = useState('')
  const [faceMm, setFaceMm] = useState<number | null>(null)
  const [next, setNext] = useState<readonly Place[]>([])
  const piece = pieces.find(p => p.mark === pickedMark) ?? pieces[0]
  // A blade with a temper of its own has a stage more than its group.
  const stages = stagesOf(piece ? routeOfPiece(batch, piece) : group.route)
  const pick = (mark: string) => {
    setMark(mark)
    setNext([])
  }
  const stage =
    pickedStage ??
    latestStage({ ...group.route, tempers: piece ? routeOfPiece(batch, piece).tempers : [] }, all) ??
    (stages[stages.length - 1] as Reading['stage'])
  if (!piece) return <EmptyTray title="Measure" what="places for readings" go={go} />
  const own = all.filter(r => r.piece === piece.mark && r.stage === stage)
  const ofStage = all.filter(r => r.stage === stage)
  const summary =
    own.length > 0
      ? summariseReadings(
          own.map(r => r.hrc),
          shop.block,
          group.target,
        )
      : null
  const wholeMean =
    ofStage.length > 0
      ? summariseReadings(
          ofStage.map(r => r.hrc),
          shop.block,
          group.target,
        )
      : null
  const predicted = predictedAt(prediction, stage)
  const readingOf = (
    read: Pick<Reading, 'piece' | 'groupId' | 'stage' | 'hrc' | 'roundFace'>,
    at: string,
    place?: Place,
  ): Reading => ({
    id: newId(),
    batchId: batch.id,
    ...read,
    at,
    deletedAt: null,
    ...(isChecked(shop.tester, at) ? {} : { unchecked: true }),
    ...(place ? { place } : {}),
  })
  const addFile = async (read: readonly Pick<Reading, 'piece' | 'groupId' | 'stage' | 'hrc'>[]) => {
    const at = new Date().toISOString()
    const done = await addReadings(read.map(r => readingOf(r, at)))
    if (done) toast(`${read.length} readings recorded.`)
    return done
  }
  const add = async (readings: readonly FacedReading[]) => {
    const at = new Date().toISOString()
    const fresh = readings.map((read, i) =>
      readingOf({ piece: piece.mark, groupId: group.id, stage, ...read }, at, next[i]),
    )
    if (!(await addReadings(fresh))) return false
    undoable(
      `${piece.mark} ${stageLabel(stage)}: ${fresh.map(r => hrcText(r.hrc)).join(', ')}${faceMm === null ? '' : ', with its round face counted'}`,
      () => {
        for (const r of fresh) void setReadingDeleted(r.id, new Date().toISOString())
      },
    )
    const following = pieces[pieces.indexOf(piece) + 1]
    setNext([])
    if (following) setMark(following.mark)
    return true
  }
  return (
    <Bench
      title="Measure"
      says="Three a blade, where the handle hides them."
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        <>
          {view === 'blade' && (
            <>
              <PlaceBoard
                key={piece.mark}
                blade={piece.blade}
                mark={piece.mark}
                readings={own.map(r => ({ hrc: r.hrc, place: r.place ?? null }))}
                next={next}
                expectedHrc={Math.min(68, Math.max(30, predicted ?? 60))}
                onPlace={place => setNext([...next, place])}
              />
              <ReadingsTable pieces={pieces} readings={ofStage} shown={piece.mark} onPick={pick} />
            </>
          )}
          {view === 'files' && (
            <FilesView
              batch={batch}
              group={group}
              mark={piece.mark}
              stage={stage}
              predicted={predicted === null ? null : { mean: predicted, sd: prediction.finalHrc.sd }}
              reading={summary && { mean: summary.corrected, sd: summary.standardUncertainty }}
            />
          )}
          {view === 'spread' && <SpreadView batch={batch} shop={shop} pieces={pieces} readings={ofStage} />}
        </>
      }
      figures={
        <MeasureFigures
          summary={summary}
          batchMean={wholeMean}
          mark={piece.mark}
          predicted={predicted}
          unchecked={own.some(r => r.unchecked === true)}
          stage={stageLabel(stage)}
          thicknessMm={piece.blade.thicknessMm}
          onVerdict={() => go('verdict')}
        />
      }
      fields={
        <div className="grid gap-3 sm:grid-cols-[120px_180px_1fr]">
          <SelectField
            label="Blade"
            value={piece.mark}
            options={pieces.map(p => [p.mark, p.mark] as const)}
            onCommit={pick}
          />
          <SelectField
            label="Stage"
            value={stage}
            options={stages.map(s => [s, stageLabel(s)] as const)}
            onCommit={setStage}
          />
          <RunOfReadings mark={piece.mark} text={text} faceMm={faceMm} onText={setText} onAdd={add} />
          <div className="flex flex-wrap items-center gap-2 sm:col-span-3">
            <TesterButton underItHrc={predicted ?? 60} onReading={hrc => setText(`${text} ${hrc}`.trim())} />
            <ReadingsFile batch={batch} stage={stage} onTake={addFile} />
            <FaceField faceMm={faceMm} onFace={setFaceMm} />
          </div>
        </div>
      }
    />
  )
}
