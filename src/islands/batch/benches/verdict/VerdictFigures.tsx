import type { Hardness } from '../../../../core/hardness/hardness'
import { isAstray, readOn, type Symptom, wantedAfter } from '../../../../core/hardness/stage-reading'
import { packetOf } from '../../../../core/load/packets'
import type { TargetHrc } from '../../../../core/rockwell/target'
import type { Decision } from '../../../../core/shop/batch'
import { Figure, Warnings } from '../../../../ui/Bench'
import { format } from '../../../../ui/dates'
import { useSay } from '../../../../ui/Units'
import { apartWords, NOT_BY_HARDNESS } from '../../../../words/advice'
import { hrcText, percentText, signedText } from '../../../../words/speaker'
import { stageName } from '../../../../words/stages'
import { decisionWords } from '../../../../words/verdict'
import { useBench } from '../../bench-context'

/** Lists earlier decisions about a group, newest first, with their reasons. */
function Decisions({ decisions }: { decisions: readonly Decision[] }) {
  const say = useSay()
  if (decisions.length === 0) return null
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-small">Decisions</h3>
      <ul className="text-small">
        {[...decisions]
          .reverse()
          .slice(0, 4)
          .map(decision => {
            const { what, why } = decisionWords(decision, say)
            return (
              <li key={decision.at} className="border-b border-rule py-1.5">
                <span className="text-ink-2">{format(decision.at)}</span> {what}{' '}
                <span className="text-ink-2">{why}</span>
              </li>
            )
          })}
      </ul>
    </div>
  )
}

interface Props {
  readonly hardness: Hardness
  readonly predicted: number | null
}

interface SymptomProps {
  readonly symptom: NonNullable<Symptom>
  readonly target: TargetHrc
  readonly measuredHrc: number
}

/** Shows the measured hardness, the probability that it is in target, its difference from the prediction, and cautions. */
export function VerdictFigures({ hardness, predicted }: Props) {
  const { batch, shown, blades } = useBench()
  const { group, prediction } = shown
  const working = hardness.summary?.working
  const off = predicted === null ? 0 : hardness.hrc - predicted
  const astray = isAstray(off, prediction.finalHrc.sd, hardness.sd)
  return (
    <>
      <Figure
        label={`Measured ${stageName(hardness.stage)}`}
        value={hrcText(hardness.hrc)}
        unit={`HRC ± ${hrcText(hardness.u95)}`}
        working={working}
      />
      <Figure
        label="Chance that it is within target now"
        value={percentText(hardness.inTargetProbability)}
        unit={`${group.target.min} to ${group.target.max}`}
        working={working}
      />
      <Figure
        label="Difference from the prediction"
        value={signedText(off)}
        unit={`HRC of ${predicted === null ? '—' : hrcText(predicted)}`}
        working={prediction.working}
      />
      {readOn(
        { mean: hardness.hrc, u95: hardness.u95 },
        wantedAfter(group.target, group.symptom, hardness.hrc).wanted,
      ) && (
        <Warnings
          lines={[
            {
              code: 'read-on',
              message:
                'The uncertainty is as wide as the target. Take three more readings, three indent diameters apart, before more heat.',
            },
          ]}
        />
      )}
      {astray && (
        <Warnings
          lines={[
            {
              code: 'astray',
              message: `Far ${off < 0 ? 'below' : 'above'} the prediction. “Likely causes” lists them, and how to tell them apart.`,
            },
          ]}
        />
      )}
      <Warnings
        lines={hardness.apart.map(({ bladeId, hrc }) => ({
          code: bladeId,
          message: apartWords({
            mark: blades.find(b => b.id === bladeId)?.mark ?? '',
            hrc,
            othersHrc: hardness.hrc,
            leak: packetOf(batch, bladeId)?.leak ?? null,
          }),
        }))}
      />
      {group.symptom && <SymptomNote symptom={group.symptom} target={group.target} measuredHrc={hardness.hrc} />}
      <a className="btn my-2 inline-flex" href={`/certificate/${batch.id}`}>
        Certificates
      </a>
      <Decisions decisions={group.decisions} />
    </>
  )
}

/** Says how a symptom at the edge moves the aim, or what to look at if hardness is not its cause. */
function SymptomNote({ symptom, target, measuredHrc }: SymptomProps) {
  const { notByHardness } = wantedAfter(target, symptom, measuredHrc)
  return notByHardness ? (
    <Warnings lines={[{ code: 'not-by-hardness', message: NOT_BY_HARDNESS[symptom] }]} />
  ) : (
    <p className="my-2 text-small">The edge {symptom}: the aim is moved by 1 HRC.</p>
  )
}
