import { lazy, Suspense, useState } from 'react'
import { TREND_BY, type TrendBy } from '../../core/logbook/trend-by'
import type { TrendPoint as Point, Trend } from '../../core/logbook/trends'
import { type ControlChart, controlChart, LEAST_POINTS } from '../../core/rockwell/control-chart'
import { BOUNDS } from '../../core/shop/bounds'
import type { Recipe } from '../../core/shop/recipe'
import { day, format } from '../../ui/dates'
import { NumberField, SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { RULE_WORDS } from '../../words/logbook'
import { useAnswer } from '../../workers/use-answer'

interface Props {
  readonly recipes: readonly Recipe[]
}

const ControlCharts = lazy(() => import('../../ui/charts/ControlCharts'))

const BY_WORDS: Readonly<Record<TrendBy, string>> = { grade: 'steel', recipe: 'recipe', oven: 'oven', lot: 'lot' }
const LEAST = 3

type What = 'off' | 'hrc'
interface Limits {
  readonly min: number
  readonly max: number
}

/** Finished hardness batch by batch on a chart of individuals: what is usual scatter, and what is out of the usual. */
export function TrendsView({ recipes }: Props) {
  const [by, setBy] = useState<TrendBy>('oven')
  const [what, setWhat] = useState<What>('off')
  const [key, setKey] = useState<string | null>(null)
  const [own, setOwn] = useState<Limits | null>(null)
  const answer = useAnswer('trends', { by })
  if (!answer) return <p className="py-6 text-ink-2">Sorting out the log …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const trends = answer.value
  const trend = trends.find(t => t.key === key) ?? trends[0]
  const nameOf = ({ key: k, name }: Trend) =>
    by === 'recipe' ? (recipes.find(r => r.id === k)?.name ?? 'a recipe that is gone') : name
  const points = trend?.points.filter(p => what === 'hrc' || p.off !== null) ?? []
  const target = points.at(-1)?.target ?? null
  const one = points.every(p => p.target.min === target?.min && p.target.max === target?.max)
  return (
    <section>
      <div className="mb-3 grid max-w-5xl grid-cols-2 gap-3 sm:grid-cols-[140px_220px_220px_1fr_1fr]">
        <SelectField
          label="Group by"
          value={by}
          options={TREND_BY.map(b => [b, BY_WORDS[b]] as const)}
          onCommit={b => {
            setBy(b)
            setKey(null)
          }}
        />
        {trend && (
          <SelectField
            label={`Which ${BY_WORDS[by]}`}
            value={trend.key}
            options={trends.map(t => [t.key, `${nameOf(t)}, ${t.points.length}`] as const)}
            onCommit={setKey}
          />
        )}
        <SelectField
          label="Chart of"
          value={what}
          options={[
            ['off', 'measured less predicted'],
            ['hrc', 'finished hardness'],
          ]}
          onCommit={setWhat}
        />
        {what === 'hrc' && <LimitFields limits={own ?? target ?? { min: 58, max: 61 }} onLimits={setOwn} />}
      </div>
      {trends.length === 0 ? (
        <p className="border border-dashed border-rule-strong p-6">
          No finished batch names its {BY_WORDS[by]} yet. Name it at Choose, or save a recipe.
        </p>
      ) : (
        <TrendChart points={points} what={what} limits={what === 'hrc' ? (own ?? (one ? target : null)) : null} />
      )}
    </section>
  )
}

function LimitFields({ limits: { min, max }, onLimits }: { limits: Limits; onLimits: (limits: Limits) => void }) {
  return (
    <>
      <NumberField
        label="Your lower limit"
        unit="HRC"
        value={min}
        {...BOUNDS.hrc}
        onCommit={value => onLimits({ min: value, max: Math.max(value + 0.5, max) })}
      />
      <NumberField
        label="Your upper limit"
        unit="HRC"
        value={max}
        {...BOUNDS.hrc}
        onCommit={value => onLimits({ max: value, min: Math.min(value - 0.5, min) })}
      />
    </>
  )
}

/** The chart of one row of batches, and in words what is out of the usual. */
function TrendChart({ points, what, limits }: { points: readonly Point[]; what: What; limits: Limits | null }) {
  const values = points.map(p => ({
    value: what === 'hrc' ? p.hrc : (p.off ?? 0),
    label: `${p.batch}, ${p.blades} blades`,
    day: day(p.at),
  }))
  const chart = controlChart(
    values.map(v => v.value),
    limits,
  )
  if (!chart)
    return (
      <p className="border border-dashed border-rule-strong p-6">
        A chart needs {LEAST} batches; {values.length} {values.length === 1 ? 'is' : 'are'} here.
      </p>
    )
  return (
    <>
      <div className="min-h-[360px]">
        <Suspense fallback={null}>
          <ControlCharts
            values={values}
            chart={chart}
            unit={what === 'hrc' ? 'Finished hardness, HRC' : 'Measured less predicted, HRC'}
          />
        </Suspense>
      </div>
      <p className="text-small">
        Usual scatter from batch to batch {chart.sigma.toFixed(2)} HRC (one standard deviation, from the mean moving
        range).
        {chart.capability &&
          ` Capability for ${limits?.min} to ${limits?.max} HRC: Cp ${chart.capability.cp.toFixed(2)}, Cpk ${chart.capability.cpk.toFixed(2)}${chart.capability.cpk < 1 ? '; some blades will miss the target even when all is as usual' : ''}.`}
      </p>
      <Signals chart={chart} points={points} />
      <p className="mt-2 text-note text-ink-2">
        Limits at the centre ± 3 standard deviations; rules of the Western Electric Handbook (1956), trend after Nelson
        (1984).
      </p>
    </>
  )
}

function Signals({ chart, points }: { chart: ControlChart; points: readonly Point[] }) {
  if (points.length < LEAST_POINTS)
    return (
      <p className="mt-1 text-small text-ink-2">
        With fewer than {LEAST_POINTS} batches nothing can be called unusual yet: each one still moves the limits.
      </p>
    )
  if (chart.signals.length === 0)
    return <p className="mt-1 text-small text-good">Nothing unusual: leave the recipe as it is.</p>
  return (
    <ol className="mt-2 list-decimal pl-5 text-small">
      {chart.signals.map(signal => (
        <li key={`${signal.index}${signal.rule}`}>
          <a className="link" href={`/batch/${points[signal.index]?.batchId}/verdict`}>
            {points[signal.index]?.batch}
          </a>
          , {format(points[signal.index]?.at ?? '')}: {RULE_WORDS[signal.rule]}.
        </li>
      ))}
    </ol>
  )
}
