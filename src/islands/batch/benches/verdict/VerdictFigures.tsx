import { packetOf } from '../../../../core/plan/packets'
import type { Batch, Reading } from '../../../../core/record/schemas'
import type { ReadingSummary } from '../../../../core/rockwell/readings'
import { stageLabel } from '../../../../core/rockwell/stages'
import { readOn } from '../../../../core/verdict/advise'
import { Figure, Warnings } from '../../../../ui/Bench'
import { type BenchProps, hrcText, percentText } from '../bench-props'
import { Decisions } from './Decisions'

/** A reading this far from its prediction, in its own sigmas, asks for a cause. */
const ASTRAY_SIGMA = 2.5

interface Props {
  readonly batch: Batch
  readonly plan: BenchProps['plan']
  readonly stage: Reading['stage']
  readonly summary: ReadingSummary
  readonly predicted: number | null
  /** Blades that stand apart from the rest and are left out. */
  readonly apart: readonly { readonly piece: string; readonly mean: number }[]
}

/** What was measured, the chance that it is in target, how far off the prediction it is; and what to mind. */
export function VerdictFigures({ batch, plan, stage, summary, predicted, apart }: Props) {
  const { group, prediction } = plan
  const off = predicted === null ? 0 : summary.corrected - predicted
  const astray = Math.abs(off) > ASTRAY_SIGMA * Math.hypot(prediction.finalHrc.sd, summary.standardUncertainty)
  return (
    <>
      <Figure
        label={`Measured ${stageLabel(stage)}`}
        value={hrcText(summary.corrected)}
        unit={`HRC ± ${hrcText(summary.u95)}`}
        working={summary.working}
      />
      <Figure
        label="Chance it is in target now"
        value={percentText(summary.inTargetProbability ?? 0)}
        unit={`${group.target.min} to ${group.target.max}`}
        working={summary.working}
      />
      <Figure
        label="Against the prediction"
        value={`${off >= 0 ? '+' : '−'}${hrcText(Math.abs(off))}`}
        unit={`HRC of ${predicted === null ? '—' : hrcText(predicted)}`}
        working={prediction.working}
      />
      {readOn({ mean: summary.corrected, u95: summary.u95 }, group.target) && (
        <Warnings
          lines={[
            {
              code: 'read-on',
              message:
                'What is known is as wide as the target: a few more readings come before heat. Read three more, three diameters apart.',
            },
          ]}
        />
      )}
      {astray && (
        <Warnings
          lines={[
            {
              code: 'astray',
              message: `Far ${off < 0 ? 'below' : 'above'} the prediction. “Why?” has the causes by likelihood, and what tells them apart.`,
            },
          ]}
        />
      )}
      <Warnings lines={apart.map(blade => ({ code: blade.piece, message: apartWords(batch, blade) }))} />
      {group.symptom && <p className="my-2 text-[13px]">The edge {group.symptom}: the aim is moved by 1 HRC.</p>}
      <a className="btn my-2 inline-flex" href={`/certificate/${batch.id}`}>
        Certificates
      </a>
      <Decisions decisions={group.decisions} />
    </>
  )
}

/** A blade that stands apart, with what is known of its packet. */
function apartWords(batch: Batch, { piece, mean }: { readonly piece: string; readonly mean: number }): string {
  const leak = packetOf(batch, piece)?.leak
  const reads = `${piece} reads ${hrcText(mean)}, apart from the rest, and is left out here.`
  return leak
    ? `${reads} Its packet leaked (${leak}): its skin has lost carbon. Grind a little deeper, read again, and judge it alone.`
    : `${reads} Look at its packet for a leak, and judge it alone.`
}
