import { useMemo, useState } from 'react'
import { coldToC } from '../../core/advice/shop-can'
import { targetFor } from '../../core/batch/target-for'
import type { Answer } from '../../core/contract/questions'
import { usualOvenOf } from '../../core/equipment/ovens'
import { reachC } from '../../core/oven/correction'
import { BOUNDS } from '../../core/shop/bounds'
import { formatTemperature } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { MERITS, USE_NAMES, USES, type UseName, type UseWeights } from '../../data/uses'
import { NumberField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { QuantityField } from '../../ui/QuantityField'
import { useSay } from '../../ui/Units'
import { bandText, percentText } from '../../words/speaker'
import { MERIT_WORDS, rankWords, refusalWords } from '../../words/steels'
import { useAnswer } from '../../workers/use-answer'
import { beginBatch } from '../batch/begin-batch'
import { sayProblems } from '../batch/edit'
import { useShopNow } from '../shop-context'

interface Props {
  readonly grades: readonly Grade[]
  readonly onGrade: (gradeId: string) => void
}

/** From use, edge and what the shop has: steels and routes in order, with the reason; and what cannot be done here. */
export default function SuggestView({ grades, onGrade }: Props) {
  const say = useSay()
  const shop = useShopNow()
  const [use, setUse] = useState<UseName>('kitchen')
  const [edgeDeg, setEdgeDeg] = useState(USES.kitchen.edgeDeg)
  const [thicknessMm, setThicknessMm] = useState(2.5)
  const [weights, setWeights] = useState<UseWeights | null>(null)
  const request = useMemo(
    () => ({
      grades,
      use,
      edgeDeg,
      weights: weights ?? undefined,
      thicknessMm,
      coldToC: coldToC(shop),
      ovenMaxC: reachC(usualOvenOf(shop)),
      oil: shop.oil,
      system: shop.units,
    }),
    [grades, use, edgeDeg, weights, thicknessMm, shop],
  )
  const answer = useAnswer('rank-steels', request)
  const { ranked, refused } = answer?.ok ? answer.value : { ranked: [], refused: [] }
  const gradeOf = new Map(grades.map(grade => [grade.id, grade]))
  const target = targetFor(use, edgeDeg)
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[250px_minmax(0,1fr)]">
      <div className="space-y-4">
        <fieldset>
          <legend className="label">What is it for?</legend>
          <div className="grid grid-cols-2 gap-1 lg:grid-cols-1">
            {USE_NAMES.map(name => (
              <button
                key={name}
                type="button"
                aria-pressed={use === name}
                className={`btn justify-start ${use === name ? 'btn-ember' : ''}`}
                onClick={() => {
                  setUse(name)
                  setEdgeDeg(USES[name].edgeDeg)
                }}
              >
                {USES[name].label}
              </button>
            ))}
          </div>
        </fieldset>
        <NumberField label="Edge angle, a side" unit="°" value={edgeDeg} {...BOUNDS.edgeDeg} onCommit={setEdgeDeg} />
        <QuantityField
          label="Spine"
          dimension="length"
          value={thicknessMm}
          {...BOUNDS.bladeThicknessMm}
          onCommit={setThicknessMm}
        />
        <Weights of={weights ?? USES[use].weight} own={weights !== null} onChange={setWeights} />
        <p className="text-note text-ink-2">
          Target hardness for this use: {target.min} to {target.max} HRC. Cold, oven, foil and quench oil are as set in
          the Workshop.
        </p>
      </div>
      <div className="min-w-0">
        {!answer && <p className="py-6 text-ink-2">Trying every steel …</p>}
        {answer && !answer.ok && <Problems of={answer.problems} />}
        <ol>
          {ranked.map((r, i) => {
            const grade = gradeOf.get(r.gradeId)
            return grade && <RankedRow key={r.gradeId} ranked={r} grade={grade} place={i + 1} onGrade={onGrade} />
          })}
        </ol>
        {refused.length > 0 && (
          <section className="mt-4">
            <h2 className="text-lead">Not in this shop</h2>
            <ul>
              {refused.map(({ gradeId, why }) => (
                <li key={gradeId} className="border-t border-rule py-1.5 text-small">
                  <strong>{gradeOf.get(gradeId)?.name}</strong>{' '}
                  <span className="text-ink-2">{refusalWords(why, say)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  )
}

interface WeightsProps {
  readonly of: UseWeights
  /** The maker moved one. */
  readonly own: boolean
  readonly onChange: (weights: UseWeights | null) => void
}

/** How much each merit counts in the order, from the use or as the maker weighs it. */
function Weights({ of, own, onChange }: WeightsProps) {
  return (
    <fieldset>
      <legend className="label">How much each matters</legend>
      {MERITS.map(merit => (
        <label key={merit} className="grid min-h-touch grid-cols-[minmax(0,1fr)_110px] items-center gap-2 text-small">
          {MERIT_WORDS[merit]}
          <input
            type="range"
            min={0}
            max={1}
            step={0.1}
            value={of[merit]}
            aria-valuetext={percentText(of[merit])}
            onChange={event => onChange({ ...of, [merit]: Number(event.target.value) })}
          />
        </label>
      ))}
      {own && (
        <button type="button" className="link min-h-touch text-small" onClick={() => onChange(null)}>
          Weigh them as the use asks
        </button>
      )}
    </fieldset>
  )
}

/** Shows a steel's merits as bars with figures, and the probability of its target in this shop. */
function Merits({ of: { merits, reach } }: { of: Answer<'rank-steels'>['ranked'][number] }) {
  const rows = [
    ...MERITS.map(merit => [MERIT_WORDS[merit], merits[merit]] as const),
    ['Target reached here', reach] as const,
  ]
  return (
    <dl className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-note text-ink-2">
      {rows.map(([label, value]) => (
        <div key={label} className="flex items-center gap-1.5">
          <dt>{label}</dt>
          <dd className="flex items-center gap-1.5">
            <span className="inline-block h-2 w-14 bg-rule" aria-hidden="true">
              <span className="block h-2 bg-ember" style={{ width: percentText(value).replace(' ', '') }} />
            </span>
            {percentText(value)}
          </dd>
        </div>
      ))}
    </dl>
  )
}

interface RowProps {
  readonly ranked: Answer<'rank-steels'>['ranked'][number]
  readonly grade: Grade
  readonly place: number
  readonly onGrade: Props['onGrade']
}

function RankedRow({ ranked, grade, place, onGrade }: RowProps) {
  const shop = useShopNow()
  const { route, hrc, why, target } = ranked
  const plan = async () => {
    const problems = await beginBatch(grade, shop, { name: `${grade.name} batch`, group: { target } })
    if (problems) sayProblems(problems, shop.units)
  }
  return (
    <li className="grid grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-x-3 border-t border-rule py-2">
      <span className="figure text-page text-ink-2">{place}</span>
      <div className="min-w-0">
        <button
          type="button"
          className="link min-h-row text-left text-lead font-semibold"
          onClick={() => onGrade(grade.id)}
        >
          {grade.name}
        </button>{' '}
        <span className="text-small text-ink-2">
          {formatTemperature(route.austenitizeC, shop.units)}, {route.cold ? 'cold, ' : ''}temper twice at{' '}
          {formatTemperature(route.tempers[0]?.atC ?? 0, shop.units)}: {hrc.mean.toFixed(1)} {bandText(hrc.sd)} HRC
        </span>
        <p className="text-small">{rankWords(why)}</p>
        <Merits of={ranked} />
      </div>
      <button type="button" className={`btn ${place === 1 ? 'btn-ember' : ''}`} onClick={() => void plan()}>
        Plan a batch
      </button>
    </li>
  )
}
