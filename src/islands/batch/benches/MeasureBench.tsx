import { useState } from 'react'
import { toast } from 'sonner'
import { piecesOf } from '../../../core/plan/tray'
import type { Reading } from '../../../core/record/schemas'
import { summariseReadings } from '../../../core/rockwell/readings'
import { latestStage, predictedAt, stageLabel, stagesOf } from '../../../core/rockwell/stages'
import { useReadings } from '../../../store/hooks'
import { addReadings, setReadingDeleted } from '../../../store/records'
import { Bench } from '../../../ui/Bench'
import { ReadingsDrawing } from '../../../ui/drawings/ReadingsDrawing'
import { SelectField } from '../../../ui/PlainFields'
import { newId } from '../edit'
import { type BenchProps, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { MeasureFigures } from './measure/MeasureFigures'
import { ReadingsTable } from './measure/ReadingsTable'
import { RunOfReadings } from './measure/RunOfReadings'

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
            outline={piece.blade.outline}
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
