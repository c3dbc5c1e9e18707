import { useMemo, useState } from 'react'
import { adviceCanOf } from '../../../core/advice/shop-can'
import { decidedTemper, nextTemper } from '../../../core/batch/added-temper'
import { isAccepted } from '../../../core/batch/decided'
import { predictedAt, routeUpTo } from '../../../core/batch/hardness-stages'
import { trialOf } from '../../../core/batch/trial'
import type { GroupModel } from '../../../core/bench/batch-model'
import type { Hardness } from '../../../core/hardness/hardness'
import { stageReadingOf } from '../../../core/hardness/stage-reading'
import { halfWidth95 } from '../../../core/numeric/coverage'
import { steelRequest } from '../../../core/steel/grades'
import { Bench } from '../../../ui/Bench'
import { VerdictDrawing } from '../../../ui/drawings/VerdictDrawing'
import { PredictedFigure } from '../../../ui/PredictedFigure'
import { Problems } from '../../../ui/Problems'
import { toast } from '../../../ui/toast'
import { ViewChoice } from '../../../ui/ViewChoice'
import { stageName } from '../../../words/stages'
import { optionName } from '../../../words/verdict'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'
import { Accepted } from './verdict/Accepted'
import { CausesView } from './verdict/CausesView'
import { EachBladeView } from './verdict/EachBladeView'
import { KIND } from './verdict/kind-words'
import { Options } from './verdict/Options'
import { SendBack } from './verdict/SendBack'
import { TrialView } from './verdict/TrialView'
import { type Option, takeOption, takeOutDecided } from './verdict/take-option'
import { VerdictChange } from './verdict/VerdictChange'
import { VerdictFigures } from './verdict/VerdictFigures'

const VIEWS = [
  ['batch', 'All of this steel'],
  ['each', 'Each blade'],
  ['why', 'Likely causes'],
] as const

/** Bench of the decision after the latest readings: options best first, each with its reason. */
export function VerdictBench() {
  const { shown } = useBench()
  const { latest } = shown
  if (latest?.by === 'readings') return <Verdict shown={shown} hardness={latest} />
  return latest ? <ByFiles shown={shown} /> : <NothingMeasured />
}

function NothingMeasured() {
  const { go } = useBench()
  return (
    <section aria-label="Verdict" className="p-6">
      <h2 className="text-heading">Verdict</h2>
      <p className="my-3">Enter readings first: three on one blade are enough to begin. File tests count too.</p>
      <button type="button" className="btn btn-ember" onClick={() => go('measure')}>
        Enter readings
      </button>
    </section>
  )
}

const ByFiles = ({ shown: { prediction } }: { shown: GroupModel }) => (
  <Bench
    title="Verdict"
    says="From file tests and the prediction together. The uncertainty is wide."
    drawing={<EachBladeView />}
    figures={<PredictedFigure label="Predicted hardness" prediction={prediction} />}
  />
)

function Verdict({ shown, hardness }: { shown: GroupModel; hardness: Hardness }) {
  const { batch, shop, learnt } = useBench()
  const { group, prediction, grade } = shown
  const [view, setView] = useState<(typeof VIEWS)[number][0] | 'trial'>('batch')
  const trial = trialOf(batch)
  const { stage } = hardness
  const request = useMemo(
    () => ({
      steel: steelRequest(grade),
      route: routeUpTo(group.route, stage),
      reading: stageReadingOf(hardness),
      target: group.target,
      symptom: group.symptom,
      use: group.use,
      can: { ...adviceCanOf(batch, shop), thicknessMm: shown.thicknessMm },
      learnt,
      whyNot: false,
    }),
    [batch, shown.thicknessMm, grade, group, stage, hardness, shop, learnt],
  )
  const advice = useAnswer('advise', request)
  const predicted = predictedAt(prediction, stage)
  const accepted = isAccepted(group, stage)
  const [sending, setSending] = useState<Option | null>(null)
  const take = (option: Option) => {
    if (option.kind === 'anneal-and-reharden') return setSending(option)
    void takeOption({ batch, group, option, hardness }).then(() =>
      toast(
        option.temper || option.cold ? `${KIND[option.kind]}: added to the route.` : `${KIND[option.kind]}: noted.`,
      ),
    )
  }
  return (
    <Bench
      title="Verdict"
      says={`From ${hardness.n === 1 ? 'one reading' : `${hardness.n} readings`} ${stageName(stage)}.`}
      views={<ViewChoice views={trial ? [...VIEWS, ['trial', 'The trial']] : VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'trial' && trial ? (
          <TrialView trial={trial} />
        ) : view === 'each' ? (
          <EachBladeView />
        ) : view === 'why' && predicted !== null ? (
          <CausesView hardness={hardness} predicted={predicted} />
        ) : (
          <>
            <VerdictDrawing
              target={group.target}
              measured={{ mean: hardness.hrc, half: hardness.u95 }}
              options={
                advice?.ok
                  ? advice.value.options
                      .filter(o => o.kind !== 'scrap')
                      .slice(0, 3)
                      .map(o => ({ label: optionName(o), mean: o.hrc.mean, half: halfWidth95(o.hrc.sd) }))
                  : []
              }
            />
            {accepted && <Accepted />}
            {advice?.ok && advice.value.options[0] && <VerdictChange now={advice.value.options[0]} asked={request} />}
            {advice?.ok && (
              <Options
                options={advice.value.options}
                first={advice.value.first}
                onTake={take}
                accepted={accepted}
                measuredHrc={hardness.hrc}
                waiting={decidedTemper(group, stage) && nextTemper(group.route, stage)}
                onTakeOut={() => void takeOutDecided(batch, group, hardness)}
              />
            )}
            {sending && (
              <SendBack option={sending} group={group} hardness={hardness} onClose={() => setSending(null)} />
            )}
            {advice && !advice.ok && <Problems of={advice.problems} />}
          </>
        )
      }
      figures={<VerdictFigures hardness={hardness} predicted={predicted} />}
    />
  )
}
