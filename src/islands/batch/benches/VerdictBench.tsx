import { useState } from 'react'
import { toast } from 'sonner'
import { piecesOf } from '../../../core/plan/tray'
import { coldToC } from '../../../core/record/defaults'
import type { Reading } from '../../../core/record/schemas'
import { partApart } from '../../../core/rockwell/apart'
import { summariseReadings } from '../../../core/rockwell/readings'
import { latestStage, predictedAt, routeUpTo, stageLabel } from '../../../core/rockwell/stages'
import { useReadings } from '../../../store/hooks'
import { Bench, Figure, Warnings } from '../../../ui/Bench'
import { VerdictDrawing } from '../../../ui/drawings/VerdictDrawing'
import { ViewChoice } from '../../../ui/ViewChoice'
import { useAnswer } from '../../../workers/use-answer'
import { type BenchProps, band95, hrcText } from './bench-props'
import { CausesView } from './verdict/CausesView'
import { EachBladeView } from './verdict/EachBladeView'
import { KIND } from './verdict/kind-words'
import { Options } from './verdict/Options'
import { type Option, takeOption } from './verdict/take-option'
import { VerdictFigures } from './verdict/VerdictFigures'

const VIEWS = [
  ['batch', 'All of this steel'],
  ['each', 'Each blade'],
  ['why', 'Why?'],
] as const

const NONE: readonly Reading[] = []
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
            shop={shop}
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
        <VerdictFigures batch={batch} plan={plan} stage={stage} summary={summary} predicted={predicted} apart={apart} />
      }
    />
  )
}
