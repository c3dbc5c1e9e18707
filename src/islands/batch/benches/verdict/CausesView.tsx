import { useMemo } from 'react'
import { asMeasured, soakedShare } from '../../../../core/plan/as-measured'
import { packetOf } from '../../../../core/plan/packets'
import type { Batch, BatchGroup, Reading, Workshop } from '../../../../core/record/schemas'
import { routeUpTo, stageLabel } from '../../../../core/rockwell/stages'
import { CAUSES } from '../../../../data/causes'
import { useBatchLogs } from '../../../../store/hooks'
import { Prose } from '../../../../ui/Units'
import { useAnswer } from '../../../../workers/use-answer'
import type { GroupPlan } from '../../use-plan'
import { hrcText, percentText } from '../bench-props'

interface Props {
  readonly batch: Batch
  readonly group: BatchGroup
  readonly plan: GroupPlan
  readonly shop: Workshop
  readonly stage: Reading['stage']
  readonly measured: { readonly mean: number; readonly sd: number }
  readonly readings: readonly Reading[]
  readonly predicted: number
}

/** Why a reading is off its prediction: causes by likelihood, computed from the model, each with the test that tells it. */
export function CausesView({ batch, group, plan, shop, stage, measured, readings, predicted }: Props) {
  const read = new Set(readings.map(r => r.piece))
  const leakSeen =
    [...read].some(mark => packetOf(batch, mark)?.leak) ||
    (batch.inspections ?? []).some(seen => read.has(seen.mark) && seen.colour === 'flaking')
  const logs = useBatchLogs(batch.id)
  const soaked = useMemo(
    () => (logs ? soakedShare(asMeasured(logs, batch, group, plan.grade, shop).heat, group.route.soakMin) : null),
    [logs, batch, group, plan.grade, shop],
  )
  const answer = useAnswer('causes', {
    steel: plan.steel,
    route: routeUpTo(group.route, stage),
    stage,
    measured: { mean: measured.mean, sd: Math.max(0.05, measured.sd) },
    dueHrc: predicted,
    checked: readings.length > 0 && readings.every(r => r.unchecked !== true),
    leakSeen,
    ...(soaked === null ? {} : { loggedSoakShare: soaked }),
  })
  if (!answer) return <p className="py-6 text-ink-2">Trying the causes …</p>
  if (!answer.ok) return <p className="py-6 text-bad">{answer.problems[0]?.message}</p>
  const off = measured.mean - predicted
  return (
    <div>
      <p className="mb-2 text-[13.5px]">
        {hrcText(measured.mean)} HRC {stageLabel(stage)}, {hrcText(Math.abs(off))} {off < 0 ? 'under' : 'over'} the
        prediction. Each cause was run through the model over how bad it may be
        {leakSeen ? '; a leaking packet was seen' : ''}
        {soaked === null ? '' : `; by its log the soak was worth ${percentText(soaked)} of what was asked`}.
      </p>
      <table className="sheet">
        <thead>
          <tr>
            <th>Cause</th>
            <th>How likely</th>
            <th>Would read</th>
            <th>What tells</th>
          </tr>
        </thead>
        <tbody>
          {answer.value.map(cause => (
            <tr key={cause.cause}>
              <td>{CAUSES.words[cause.cause]}</td>
              <td className="w-28">
                <span className="font-semibold">{percentText(cause.probability)}</span>
                <svg viewBox="0 0 100 4" className="mt-1 h-1 w-full" aria-hidden="true" preserveAspectRatio="none">
                  <rect width={100 * cause.probability} height={4} className="fill-ember" />
                </svg>
              </td>
              <td>{hrcText(cause.givesHrc)}</td>
              <td className="text-[13px] text-ink-2">
                <Prose>{cause.test}</Prose>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[12.5px] text-ink-2">
        How often each happens: common practice, no published source; docs/method.md.
      </p>
    </div>
  )
}
