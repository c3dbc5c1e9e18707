import { routeUpTo } from '../../../../core/batch/hardness-stages'
import type { Hardness } from '../../../../core/hardness/hardness'
import { packetOf } from '../../../../core/load/packets'
import { steelRequest } from '../../../../core/steel/grades'
import { soakedShare } from '../../../../core/trace/oven-log'
import { useBatchLogs } from '../../../../store/hooks'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { CAUSE_TESTS, CAUSE_WORDS, lessLikelyWords } from '../../../../words/advice'
import { hrcText, percentText } from '../../../../words/speaker'
import { stageName } from '../../../../words/stages'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'
import { useLoggedRoute } from '../../use-logged-route'

interface Props {
  readonly hardness: Hardness
  readonly predicted: number
}

/** Causes shown with their test; the others are named, for they are hardly ever it. */
const FULL_ROWS = 6

/** Why a reading is off its prediction: causes by likelihood, computed from the model, each with the test that tells it. */
export function CausesView({ hardness, predicted }: Props) {
  const { batch, shown, blades } = useBench()
  const say = useSay()
  const { group, grade } = shown
  const { stage } = hardness
  const read = blades.filter(b => hardness.bladeIds.includes(b.id))
  const leakSeen = read.some(b => packetOf(batch, b.id)?.leak || b.record.inspection?.colour === 'flaking')
  const logs = useBatchLogs(batch.id)
  const logged = useLoggedRoute(batch, group.id, logs)
  const soaked = logged ? soakedShare(logged.heat, group.route.soakMin) : null
  // Where there is a log, causes are tried with what it tells.
  const isKnown = logs !== undefined && (logs.length === 0 || logged !== undefined)
  const answer = useAnswer(
    'causes',
    isKnown
      ? {
          steel: steelRequest(grade),
          route: routeUpTo(group.route, stage),
          stage,
          measured: { mean: hardness.hrc, sd: Math.max(0.05, hardness.sd) },
          dueHrc: predicted,
          checked: !hardness.unchecked,
          leakSeen,
          ...(soaked === null ? {} : { loggedSoakShare: soaked }),
        }
      : null,
  )
  if (!answer) return <p className="py-6 text-ink-2">Trying the causes …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const off = hardness.hrc - predicted
  return (
    <div>
      <p className="mb-2 text-small">
        {hrcText(hardness.hrc)} HRC {stageName(stage)}, {hrcText(Math.abs(off))} {off < 0 ? 'under' : 'over'} the
        prediction. Each cause was tried in the model, from slight to severe
        {leakSeen ? '; a leaking packet was seen' : ''}
        {soaked === null ? '' : `; by its log the soak did ${percentText(soaked)} of what was planned`}.
      </p>
      <table className="sheet">
        <thead>
          <tr>
            <th>Cause</th>
            <th>How likely</th>
            <th>Expected then, HRC</th>
            <th>How to check</th>
          </tr>
        </thead>
        <tbody>
          {answer.value.slice(0, FULL_ROWS).map(cause => (
            <tr key={cause.cause}>
              <td>{CAUSE_WORDS[cause.cause]}</td>
              <td className="w-28">
                <span className="font-semibold">{percentText(cause.probability)}</span>
                <svg viewBox="0 0 1 4" className="mt-1 h-1 w-full" aria-hidden="true" preserveAspectRatio="none">
                  <rect width={cause.probability} height={4} className="fill-ember" />
                </svg>
              </td>
              <td>{hrcText(cause.givesHrc)}</td>
              <td className="text-small text-ink-2">{CAUSE_TESTS[cause.cause](say)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-small text-ink-2">{lessLikelyWords(answer.value.slice(FULL_ROWS))}</p>
      <p className="mt-1 text-note text-ink-2">
        How often each happens: common practice, no published source; docs/method.md.
      </p>
    </div>
  )
}
