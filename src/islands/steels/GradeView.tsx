import { lazy, Suspense, useMemo, useState } from 'react'
import { routeWish } from '../../core/advice/shop-can'
import { NOTHING } from '../../core/codes/said'
import type { PlannedRoute } from '../../core/shop/route'
import { steelRequest } from '../../core/steel/grades'
import { usualTargetOf, withTemperC } from '../../core/steel/usual'
import { formatTemperature } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { Figure, Warnings } from '../../ui/Bench'
import { PredictedFigure } from '../../ui/PredictedFigure'
import { Problems } from '../../ui/Problems'
import { RangeBars, rangeHeight } from '../../ui/RangeBars'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { inUnits } from '../../words/marked'
import { useAnswer } from '../../workers/use-answer'
import { newRecipe } from '../recipes/recipe-edit'
import { useShopNow } from '../shop-context'
import { useLearnt } from '../use-learnt'
import { usePredictions } from '../use-predictions'
import { GradeFacts } from './GradeFacts'

/** Whether the shop's own readings help with a grade: errors on batches left out, with them and without. */
function LearntLine({ grade }: { grade: Grade }) {
  const lesson = useAnswer('learn', NOTHING)
  if (!lesson) return null
  const own = lesson.ok ? lesson.value?.byGrade[grade.id] : undefined
  if (!own)
    return <p className="border-t border-rule py-2 text-note text-ink-2">No reading of this steel in your shop yet.</p>
  const helps = own.shop < own.chart
  return (
    <p className="border-t border-rule py-2 text-note text-ink-2">
      Tested on batches left out of the learning: the chart alone is off by {own.chart.toFixed(2)} HRC, with your{' '}
      {own.readings} readings by {own.shop.toFixed(2)} HRC.{' '}
      {helps ? 'Your readings help.' : 'Your readings do not help here yet.'}
    </p>
  )
}

const TemperChart = lazy(() => import('../../ui/charts/TemperChart'))
const SoakChart = lazy(() => import('../../ui/charts/SoakChart'))

interface Props {
  readonly grade: Grade
  readonly onEdit: (() => void) | null
  /** Begins a sheet of the maker's own from this grade. */
  readonly onBase: () => void
}

/** One grade whole: its tempering curve, its soak curve, what the mill's range does, and every figure with its source. */
export default function GradeView({ grade, onEdit, onBase }: Props) {
  const shop = useShopNow()
  const suggested = useAnswer(
    'suggested-route',
    useMemo(() => routeWish(grade, shop), [grade, shop]),
  )
  if (!suggested) return <p className="py-6 text-ink-2">Working out its curves …</p>
  if (!suggested.ok) return <Problems of={suggested.problems} />
  return <SuggestedGrade key={grade.id} grade={grade} onEdit={onEdit} onBase={onBase} suggested={suggested.value} />
}

function SuggestedGrade({ grade, onEdit, onBase, suggested }: Props & { readonly suggested: PlannedRoute }) {
  const say = useSay()
  const shop = useShopNow()
  const target = useMemo(() => usualTargetOf(grade), [grade])
  const [moved, setTemperC] = useState<number | null>(null)
  const temperC = moved ?? suggested.tempers[0]?.atC ?? 200
  const route = useMemo(() => withTemperC(suggested, temperC), [suggested, temperC])
  const learnt = useLearnt()
  const [prediction] =
    usePredictions(
      useMemo(() => [{ grade, route }], [grade, route]),
      learnt,
    ) ?? []
  const curve = useAnswer(
    'temper-curve',
    useMemo(() => ({ steel: steelRequest(grade), route: suggested, learnt }), [grade, suggested, learnt]),
  )
  const curves = useAnswer(
    'grade-curves',
    useMemo(() => ({ grade, route }), [grade, route]),
  )
  const both = (c: number) => formatTemperature(c, shop.units)
  const begin = async () => {
    const id = await newRecipe(grade, shop)
    if (id) location.href = `/recipe/${id}`
  }
  return (
    <section aria-label={grade.name} className="min-w-0">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-title">{grade.name}</h2>
        <p className="text-ink-2">{grade.alsoNamed.join(', ')}</p>
        <div className="ml-auto flex gap-2">
          {onEdit && (
            <button type="button" className="btn" onClick={onEdit}>
              Edit this sheet
            </button>
          )}
          <button type="button" className="btn btn-plain" onClick={onBase}>
            Lay my sheet’s chart over it
          </button>
          <button
            type="button"
            className="btn btn-plain"
            onClick={() =>
              void navigator.clipboard.writeText(JSON.stringify(route)).then(
                () => toast('Route copied as JSON, as /api/predict takes it'),
                () => toast('The browser refused to copy.'),
              )
            }
          >
            Copy route as JSON
          </button>
          <button type="button" className="btn btn-ember" onClick={() => void begin()}>
            Recipe map
          </button>
        </div>
      </div>
      <p className="mb-2 text-ink-2">{inUnits(grade.note, say)}</p>
      <div className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_250px]">
        <div className="h-[236px] min-w-0">
          <Suspense fallback={null}>
            {curve?.ok && (
              <TemperChart
                points={curve.value}
                target={target}
                temperC={temperC}
                system={shop.units}
                rustsAboveC={grade.family === 'stainless' ? 400 : null}
                chart={grade.chart?.points ?? []}
                onTemper={setTemperC}
              />
            )}
          </Suspense>
        </div>
        <div className="h-[236px] min-w-0">
          <Suspense fallback={null}>
            {curves?.ok && <SoakChart points={curves.value.soak} window={grade.austenitize} system={shop.units} />}
          </Suspense>
        </div>
        <div>
          <PredictedFigure
            label={`Hardness after two tempers at ${both(temperC)}, austenitized at ${both(route.austenitizeC)}`}
            prediction={prediction}
          />
          <Figure
            label="Chromium in solution"
            term="chromium"
            value={prediction?.austenite.Cr.toFixed(1) ?? '…'}
            unit={`% of ${grade.nominal.Cr ?? 0}`}
            working={prediction?.working}
          />
          <LearntLine grade={grade} />
          {prediction && <Warnings lines={prediction.cautions} />}
        </div>
      </div>
      <div className="mt-4 max-w-[760px]" style={{ minHeight: rangeHeight(grade) }}>
        {prediction && curves?.ok && curves.value.range.length > 0 && (
          <RangeBars effects={curves.value.range} nominalHrc={prediction.chartHrc.mean} />
        )}
      </div>
      <GradeFacts grade={grade} />
    </section>
  )
}
