import { useState } from 'react'
import { toast } from 'sonner'
import { packetOf } from '../../../core/plan/packets'
import { piecesOf } from '../../../core/plan/tray'
import { coldToC } from '../../../core/record/defaults'
import type { LocalAnswer } from '../../../core/record/questions/local'
import type { Batch, Reading } from '../../../core/record/schemas'
import { partApart } from '../../../core/rockwell/apart'
import { summariseReadings } from '../../../core/rockwell/readings'
import { latestStage, predictedAt, routeUpTo, stageLabel } from '../../../core/rockwell/stages'
import { useReadings } from '../../../store/hooks'
import { Bench, Figure, Warnings } from '../../../ui/Bench'
import { format } from '../../../ui/dates'
import { VerdictDrawing } from '../../../ui/drawings/VerdictDrawing'
import { ViewChoice } from '../../../ui/ViewChoice'
import { useAnswer } from '../../../workers/use-answer'
import { editGroup } from '../edit'
import { type BenchProps, band95, hrcText, percentText } from './bench-props'
import { CausesView } from './verdict/CausesView'
import { EachBladeView } from './verdict/EachBladeView'
import { KIND } from './verdict/kind-words'
import { Options } from './verdict/Options'

type Option = LocalAnswer<'advise'>['options'][number]

const VIEWS = [
  ['batch', 'All of this steel'],
  ['each', 'Each blade'],
  ['why', 'Why?'],
] as const

const NONE: readonly Reading[] = []
/** A reading this far from its prediction, in its own sigmas, asks for a cause. */
const ASTRAY_SIGMA = 2.5

/** What to do after the latest readings, best first, each with its reason. */
export function VerdictBench({ batch, plan, shop, go }: BenchProps) {
  const { group, prediction } = plan
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('batch')
  const every = useReadings(batch.id) ?? NONE
  const readings = every.filter(r => r.groupId === group.id)
  const stage = latestStage(group.route, readings)
  const { together: own, apart } = partApart(readings.filter(r => r.stage === stage))
  const summary =
    own.length > 0
      ? summariseReadings(
          own.map(r => r.hrc),
          shop.block,
          group.target,
        )
      : null
  const advice = useAnswer(
    'advise',
    summary && stage
      ? {
          steel: plan.steel,
          route: routeUpTo(group.route, stage),
          reading: { mean: summary.corrected, u95: Math.min(20, summary.u95), stage },
          target: group.target,
          symptom: group.symptom,
          can: { coldToC: coldToC(shop), anneal: true },
        }
      : null,
  )
  if (!summary || !stage) {
    const marks = new Set(piecesOf(batch).flatMap(p => (p.group.id === group.id ? [p.mark] : [])))
    if (batch.files?.some(f => marks.has(f.mark) && (f.skates !== null || f.bites !== null)))
      return (
        <Bench
          title="Verdict"
          says="By files alone, weighed with what was predicted: wide, but no guess."
          drawing={<EachBladeView batch={batch} shop={shop} readings={every} />}
          figures={
            <Figure
              label="Was predicted"
              value={hrcText(prediction.finalHrc.mean)}
              unit={`HRC ${band95(prediction.finalHrc.sd)}`}
              working={prediction.working}
            />
          }
        />
      )
    return (
      <section aria-label="Verdict" className="p-6">
        <h2 className="text-[21px]">Verdict</h2>
        <p className="my-3">A verdict needs a reading, three on one blade are enough to begin; or a set of files.</p>
        <button type="button" className="btn btn-ember" onClick={() => go('measure')}>
          Enter readings
        </button>
      </section>
    )
  }
  const predicted = predictedAt(prediction, stage)
  const off = predicted === null ? 0 : summary.corrected - predicted
  const astray = Math.abs(off) > ASTRAY_SIGMA * Math.hypot(prediction.finalHrc.sd, summary.standardUncertainty)
  const take = (option: Option) =>
    void takeOption({ batch, plan, option, stage }).then(() =>
      toast(`${KIND[option.kind]}: written into the route, with its reason.`),
    )
  return (
    <Bench
      title="Verdict"
      says={`From ${summary.n} readings ${stageLabel(stage)}.`}
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'each' ? (
          <EachBladeView batch={batch} shop={shop} readings={every} />
        ) : view === 'why' && predicted !== null ? (
          <CausesView
            batch={batch}
            group={group}
            plan={plan}
            stage={stage}
            measured={{ mean: summary.corrected, sd: summary.standardUncertainty }}
            readings={own}
            predicted={predicted}
          />
        ) : (
          <>
            <VerdictDrawing
              target={group.target}
              measured={{ mean: summary.corrected, half: summary.u95 }}
              options={
                advice?.ok
                  ? advice.value.options
                      .filter(o => o.kind !== 'scrap')
                      .slice(0, 3)
                      .map(o => ({ label: KIND[o.kind], mean: o.hrc.mean, half: 1.96 * o.hrc.sd }))
                  : []
              }
            />
            {advice?.ok && (
              <Options options={advice.value.options} onTake={take} shop={shop} measuredHrc={summary.corrected} />
            )}
            {advice && !advice.ok && <Warnings lines={advice.problems} />}
          </>
        )
      }
      figures={
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
      }
    />
  )
}

function Decisions({ decisions }: { decisions: BenchProps['plan']['group']['decisions'] }) {
  if (decisions.length === 0) return null
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-[13px]">Decided</h3>
      <ul className="text-[13px]">
        {[...decisions]
          .reverse()
          .slice(0, 4)
          .map(d => (
            <li key={d.at} className="border-b border-rule py-1.5">
              <span className="text-ink-2">{format(d.at)}</span> {d.what}. <span className="text-ink-2">{d.why}</span>
            </li>
          ))}
      </ul>
    </div>
  )
}

/** Writes an option into the group's route behind what was measured, with its reason. */
async function takeOption({
  batch,
  plan,
  option,
  stage,
}: {
  batch: BenchProps['batch']
  plan: BenchProps['plan']
  option: Option
  stage: Reading['stage']
}) {
  await editGroup(batch, plan.group.id, `Decide: ${KIND[option.kind].toLowerCase()}`, group => {
    const done = routeUpTo(group.route, stage)
    const route = option.temper
      ? { ...done, cold: option.cold ?? done.cold, tempers: [...done.tempers, option.temper] }
      : group.route
    return {
      ...group,
      route,
      decisions: [
        ...group.decisions,
        { at: new Date().toISOString(), what: option.steps.join(' ').slice(0, 400), why: option.why.slice(0, 1000) },
      ],
    }
  })
}

/** A blade that stands apart, with what is known of its packet. */
function apartWords(batch: Batch, { piece, mean }: { readonly piece: string; readonly mean: number }): string {
  const leak = packetOf(batch, piece)?.leak
  const reads = `${piece} reads ${hrcText(mean)}, apart from the rest, and is left out here.`
  return leak
    ? `${reads} Its packet leaked (${leak}): its skin has lost carbon. Grind a little deeper, read again, and judge it alone.`
    : `${reads} Look at its packet for a leak, and judge it alone.`
}
