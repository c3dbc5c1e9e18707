import { X } from 'lucide-react'
import { useId, useState } from 'react'
import { toast } from 'sonner'
import { type Piece, piecesOf } from '../../../core/plan/tray'
import type { Reading } from '../../../core/record/schemas'
import type { Problem } from '../../../core/result'
import { parseReadings } from '../../../core/rockwell/parse-readings'
import { type ReadingSummary, summariseReadings } from '../../../core/rockwell/readings'
import { latestStage, predictedAt, stageLabel, stagesOf } from '../../../core/rockwell/stages'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { useReadings } from '../../../store/hooks'
import { addReadings, setReadingDeleted } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { ReadingsDrawing } from '../../../ui/drawings/ReadingsDrawing'
import { SelectField } from '../../../ui/PlainFields'
import { newId } from '../edit'
import { type BenchProps, hrcText, percentText } from './bench-props'
import { EmptyTray } from './EmptyTray'

/** Readings by blade and stage: typed as a run, each with its uncertainty, each undoable. */
export function MeasureBench({ batch, plan, shop, go }: BenchProps) {
  const { group, prediction } = plan
  const pieces = piecesOf(batch).filter(p => p.group.id === group.id)
  const all = (useReadings(batch.id) ?? []).filter(r => r.groupId === group.id)
  const stages = stagesOf(group.route)
  const [pickedMark, setMark] = useState<string | null>(null)
  const [pickedStage, setStage] = useState<Reading['stage'] | null>(null)
  const piece = pieces.find(p => p.mark === pickedMark) ?? pieces[0]
  const stage = pickedStage ?? latestStage(group.route, all) ?? (stages[stages.length - 1] as Reading['stage'])
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
  const add = async (values: readonly number[]) => {
    const at = new Date().toISOString()
    const fresh = values.map(
      (hrc): Reading => ({
        id: newId(),
        batchId: batch.id,
        groupId: group.id,
        piece: piece.mark,
        stage,
        hrc,
        at,
        deletedAt: null,
      }),
    )
    if (!(await addReadings(fresh))) return false
    toast(`${piece.mark} ${stageLabel(stage)}: ${values.map(hrcText).join(', ')}`, {
      action: {
        label: 'Undo',
        onClick: () => fresh.forEach(r => void setReadingDeleted(r.id, new Date().toISOString())),
      },
    })
    const following = pieces[pieces.indexOf(piece) + 1]
    if (following) setMark(following.mark)
    return true
  }
  return (
    <Bench
      title="Measure"
      says="Three readings a blade, on the tang where they hide. Check the tester on its block first."
      drawing={
        <>
          <ReadingsDrawing
            lengthMm={piece.blade.lengthMm}
            widthMm={piece.blade.widthMm}
            mark={piece.mark}
            readings={own.map(r => r.hrc)}
            edgeMm={summary?.rules.minimumEdgeMm ?? 0.6}
            spacingMm={summary?.rules.minimumSpacingMm ?? 0.8}
          />
          <ReadingsTable pieces={pieces} readings={ofStage} shown={piece.mark} onPick={setMark} />
        </>
      }
      figures={
        <MeasureFigures
          summary={summary}
          batchMean={wholeMean}
          mark={piece.mark}
          predicted={predictedAt(prediction, stage)}
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
            onCommit={setMark}
          />
          <SelectField
            label="Stage"
            value={stage}
            options={stages.map(s => [s, stageLabel(s)] as const)}
            onCommit={setStage}
          />
          <RunOfReadings mark={piece.mark} onAdd={add} />
        </div>
      }
    />
  )
}

/** Reads '61 60.5 61'; what is wrong is said by place and stays to be corrected. */
function RunOfReadings({ mark, onAdd }: { mark: string; onAdd: (values: readonly number[]) => Promise<boolean> }) {
  const id = useId()
  const [text, setText] = useState('')
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const submit = async () => {
    const parsed = parseReadings(text)
    setProblems(parsed.ok ? [] : parsed.problems)
    if (parsed.ok && (await onAdd(parsed.value))) setText('')
  }
  return (
    <form
      onSubmit={event => {
        event.preventDefault()
        void submit()
      }}
    >
      <label htmlFor={id} className="label">
        Readings of {mark}, HRC
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          className="field"
          inputMode="decimal"
          autoComplete="off"
          placeholder="61 60.5 61"
          value={text}
          onChange={event => setText(event.target.value)}
          aria-invalid={problems.length > 0}
          aria-describedby={problems.length ? `${id}-p` : undefined}
        />
        <button type="submit" className="btn btn-ember">
          Record
        </button>
      </div>
      {problems.length > 0 && (
        <ul id={`${id}-p`} role="alert" className="mt-1 text-[13px] text-bad">
          {problems.map(problem => (
            <li key={problem.path}>{problem.message}</li>
          ))}
        </ul>
      )}
    </form>
  )
}

function ReadingsTable({
  pieces,
  readings,
  shown,
  onPick,
}: {
  pieces: readonly Piece[]
  readings: readonly Reading[]
  shown: string
  onPick: (mark: string) => void
}) {
  return (
    <div className="mt-3 max-h-[170px] overflow-y-auto" tabIndex={0} role="region" aria-label="Readings of this stage">
      <table className="sheet">
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th className="w-24">Blade</th>
            <th className="w-24">Mean</th>
            <th>Readings, each can be taken out</th>
          </tr>
        </thead>
        <tbody>
          {pieces.map(piece => {
            const own = readings.filter(r => r.piece === piece.mark)
            return (
              <tr key={piece.mark}>
                <td>
                  <button
                    type="button"
                    className={`link min-h-6 ${piece.mark === shown ? 'font-bold text-ember' : ''}`}
                    onClick={() => onPick(piece.mark)}
                  >
                    {piece.mark}
                  </button>
                </td>
                <td className="font-semibold">
                  {own.length > 0 ? hrcText(own.reduce((sum, r) => sum + r.hrc, 0) / own.length) : '—'}
                </td>
                <td>
                  {own.map(r => (
                    <button
                      key={r.id}
                      type="button"
                      className="mr-3 inline-flex min-h-6 items-center gap-1 text-ink hover:text-bad"
                      aria-label={`Take out ${hrcText(r.hrc)} of ${piece.mark}`}
                      onClick={() =>
                        void setReadingDeleted(r.id, new Date().toISOString()).then(() =>
                          toast(`${hrcText(r.hrc)} of ${piece.mark} taken out`, {
                            action: { label: 'Undo', onClick: () => void setReadingDeleted(r.id, null) },
                          }),
                        )
                      }
                    >
                      {hrcText(r.hrc)} <X size={12} aria-hidden="true" />
                    </button>
                  ))}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

interface FiguresProps {
  readonly summary: ReadingSummary | null
  readonly batchMean: ReadingSummary | null
  readonly mark: string
  readonly stage: string
  readonly predicted: number | null
  readonly thicknessMm: number
  readonly onVerdict: () => void
}

function MeasureFigures({ summary, batchMean, mark, stage, predicted, thicknessMm, onVerdict }: FiguresProps) {
  const warnings = summary
    ? [
        ...(summary.outliers.length > 0
          ? [
              {
                code: 'outlier',
                message: `${summary.outliers.map(hrcText).join(', ')} stands apart from the rest (Grubbs, 5 %): look for dirt, a bent seat or a slope, and read again.`,
              },
            ]
          : []),
        ...(thicknessMm < summary.rules.minimumThicknessMm
          ? [
              {
                code: 'thin',
                message: `Too thin for Rockwell C here: at least ${summary.rules.minimumThicknessMm.toFixed(2)} mm.`,
              },
            ]
          : []),
        ...(summary.verification && !summary.verification.ok
          ? [
              {
                code: 'block',
                message: `The tester fails its block check (off by ${summary.verification.bias.toFixed(1)}, spread ${summary.verification.repeatability.toFixed(1)}): readings are kept, and not to be trusted.`,
              },
            ]
          : []),
      ]
    : []
  return (
    <>
      <Figure
        label={`${mark} ${stage}`}
        value={summary ? hrcText(summary.corrected) : '—'}
        unit={
          summary
            ? `HRC ± ${hrcText(summary.u95)}, ${summary.n} ${summary.n === 1 ? 'reading' : 'readings'}`
            : 'no reading yet'
        }
        working={summary?.working}
        note={
          summary?.verification
            ? `Corrected by the tester’s ${summary.verification.bias.toFixed(2)} on its block.`
            : 'No block check is stored, so nothing is corrected for the tester.'
        }
      />
      <Figure
        label="Chance it is in target"
        value={summary?.inTargetProbability != null ? percentText(summary.inTargetProbability) : '—'}
        unit=""
        working={summary?.working}
      />
      <Figure
        label={`All blades ${stage}`}
        value={batchMean ? hrcText(batchMean.corrected) : '—'}
        unit={
          batchMean
            ? `HRC, from ${batchMean.n}; predicted ${predicted === null ? '—' : hrcText(predicted)}`
            : predicted === null
              ? ''
              : `predicted ${hrcText(predicted)}`
        }
        working={batchMean?.working}
      />
      <Warnings lines={warnings} />
      {summary && (
        <p className="text-[13px] text-ink-2">
          Indents at least {summary.rules.minimumSpacingMm.toFixed(1)} mm apart and{' '}
          {summary.rules.minimumEdgeMm.toFixed(1)} mm from an edge.
        </p>
      )}
      {batchMean && (
        <button type="button" className="btn btn-ember mt-2" onClick={onVerdict}>
          To the verdict
        </button>
      )}
      <CautionNote>
        {CAUTIONS.measure} {DEFER}
      </CautionNote>
    </>
  )
}
