import type { ReadingSummary } from '../../../../core/rockwell/readings'
import { CAUTIONS, DEFER } from '../../../../data/cautions'
import { CautionNote, Figure, Warnings } from '../../../../ui/Bench'
import { Prose } from '../../../../ui/Units'
import { hrcText, percentText } from '../bench-props'

interface FiguresProps {
  readonly summary: ReadingSummary | null
  readonly batchMean: ReadingSummary | null
  readonly mark: string
  readonly stage: string
  readonly predicted: number | null
  readonly thicknessMm: number
  /** Some of the shown blade's readings were taken without a block check of that day. */
  readonly unchecked: boolean
  readonly onVerdict: () => void
}

/** What the readings of the shown blade say, and those of all. */
export function MeasureFigures(props: FiguresProps) {
  const { summary, batchMean, mark, stage, predicted, thicknessMm, unchecked, onVerdict } = props
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
        ...(unchecked
          ? [
              {
                code: 'unchecked',
                message:
                  'Taken without a block check within the day before: kept, and marked so. Check the tester in the Workshop.',
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
          <Prose>
            {`Indents at least ${summary.rules.minimumSpacingMm.toFixed(1)} mm apart and ${summary.rules.minimumEdgeMm.toFixed(1)} mm from an edge.`}
          </Prose>
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
