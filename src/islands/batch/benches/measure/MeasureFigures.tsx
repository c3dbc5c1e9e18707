import type { Hardness } from '../../../../core/hardness/hardness'
import { CAUTIONS, DEFER } from '../../../../data/cautions'
import { CautionNote, Figure, Warnings } from '../../../../ui/Bench'
import { useSay } from '../../../../ui/Units'
import { marksOf } from '../../../../words/lists'
import { correctionWords, measureWarnings, restsOnWords } from '../../../../words/measure'
import { hrcText, percentText } from '../../../../words/speaker'
import { measuredTrust } from '../../../../words/trust'
import { useBench } from '../../bench-context'

interface FiguresProps {
  /** Undefined while it is worked out. */
  readonly hardness: Hardness | null | undefined
  readonly ofAll: Hardness | null
  readonly mark: string
  readonly stage: string
  readonly predicted: number | null
  readonly thicknessMm: number
  readonly onVerdict: () => void
}

/** Figures of the shown blade's readings, and of all. */
export function MeasureFigures({ hardness, ofAll, mark, stage, predicted, thicknessMm, onVerdict }: FiguresProps) {
  const { blades } = useBench()
  const say = useSay()
  const summary = hardness?.summary ?? null
  const none = hardness === null ? '—' : '…'
  const apart = ofAll?.apart.flatMap(a => blades.find(b => b.id === a.bladeId)?.mark ?? []) ?? []
  return (
    <>
      <Figure
        label={`Hardness of ${mark} ${stage}`}
        value={hardness ? hrcText(hardness.hrc) : none}
        unit={hardness ? restsOnWords(hardness) : hardness === null ? 'not measured' : ''}
        working={summary?.working}
        trust={hardness ? measuredTrust(hardness.by) : undefined}
        note={summary ? correctionWords(summary) : undefined}
      />
      <Figure
        label="Chance that it is within target"
        value={hardness ? percentText(hardness.inTargetProbability) : none}
        unit=""
        working={summary?.working}
      />
      <Figure
        label={`All blades ${stage}`}
        value={ofAll ? hrcText(ofAll.hrc) : '—'}
        unit={
          ofAll
            ? `HRC, ${ofAll.by === 'files' ? 'by files' : `mean of ${ofAll.n}`}; predicted ${predicted === null ? '—' : hrcText(predicted)}`
            : predicted === null
              ? ''
              : `predicted ${hrcText(predicted)}`
        }
        working={ofAll?.summary?.working}
        note={apart.length > 0 ? `${marksOf(apart)} left out: too far from the other blades.` : undefined}
      />
      {apart.length > 0 && <p className="text-small text-ink-2">Without {marksOf(apart)}, judged alone.</p>}
      {hardness && <Warnings lines={measureWarnings(hardness, thicknessMm, say)} />}
      {summary && (
        <p className="text-small text-ink-2">
          Keep indents at least {say.length(summary.rules.minimumSpacingMm)} apart and{' '}
          {say.length(summary.rules.minimumEdgeMm)} from an edge.
        </p>
      )}
      {ofAll && (
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
