import { lazy, Suspense, useState } from 'react'
import { toast } from 'sonner'
import { coldToC } from '../../core/record/defaults'
import type { Workshop } from '../../core/record/schemas'
import { predict } from '../../core/steel/predict'
import { suggestRoute, withTemperC } from '../../core/steel/suggest'
import { formatBoth, formatQuantity } from '../../core/units/quantity'
import { GRADES, type Grade } from '../../data/grades'
import { Figure } from '../../ui/Bench'
import { useAnswer } from '../../workers/use-answer'
import { Place } from '../Place'

const TemperChart = lazy(() => import('../../ui/charts/TemperChart'))

export default function SteelsPlace({ grade }: { grade: string }) {
  return <Place>{shop => <Steels shop={shop} first={grade} />}</Place>
}

/** The grades shipped: what is known of each, and from where. */
function Steels({ shop, first }: { shop: Workshop; first: string }) {
  const [name, setName] = useState(first)
  const grade = GRADES.find(g => g.name === name) ?? (GRADES[0] as Grade)
  const show = (next: string) => {
    history.replaceState(null, '', `/steels?grade=${encodeURIComponent(next)}`)
    setName(next)
  }
  return (
    <div className="grid gap-x-10 px-4 py-6 md:px-8 lg:grid-cols-[260px_minmax(0,1fr)]">
      <div>
        <h1 className="mb-3 text-[26px]">Steels</h1>
        <ul className="mb-6">
          {GRADES.map(g => (
            <li key={g.name} className="border-t border-rule">
              <button
                type="button"
                aria-pressed={g === grade}
                onClick={() => show(g.name)}
                className={`block min-h-12 w-full border-l-3 py-2 pl-3 text-left ${g === grade ? 'border-ember font-semibold' : 'border-transparent'}`}
              >
                {g.name}
                <span className="block text-[12.5px] font-normal text-ink-2">{g.alsoNamed.join(', ')}</span>
              </button>
            </li>
          ))}
        </ul>
      </div>
      <GradeView key={grade.name} grade={grade} shop={shop} />
    </div>
  )
}

function GradeView({ grade, shop }: { grade: Grade; shop: Workshop }) {
  const target = { min: grade.usualTarget.minHrc, max: grade.usualTarget.maxHrc }
  const suggested = suggestRoute(grade, target, { coldToC: coldToC(shop), ovenMaxC: shop.oven.maxC, thicknessMm: 2.5 })
  const [temperC, setTemperC] = useState(suggested.tempers[0]?.atC ?? 200)
  const route = withTemperC(suggested, temperC)
  const prediction = predict(grade, route)
  const curve = useAnswer('temper-curve', {
    steel: { grade: grade.name },
    route: { ...suggested, tempers: [...suggested.tempers] },
  })
  const both = (c: number) => formatBoth(c, shop.units)
  return (
    <section aria-label={grade.name}>
      <h2 className="text-[24px]">{grade.name}</h2>
      <p className="mb-3 text-ink-2">
        {grade.family === 'stainless' ? 'Stainless' : 'High-alloy tool steel'}. {grade.note}
      </p>
      <div className="grid gap-x-10 lg:grid-cols-[minmax(0,1fr)_300px]">
        <div className="h-[240px]">
          <Suspense fallback={null}>
            {curve?.ok && (
              <TemperChart
                points={curve.value}
                target={target}
                temperC={temperC}
                system={shop.units}
                rustsAboveC={grade.family === 'stainless' ? 400 : null}
                onTemper={setTemperC}
              />
            )}
          </Suspense>
        </div>
        <div>
          <Figure
            label={`Twice at ${both(temperC)}, soaked at ${both(route.austenitizeC)}`}
            value={prediction.finalHrc.mean.toFixed(1)}
            unit={`HRC ± ${(1.96 * prediction.finalHrc.sd).toFixed(1)}`}
            working={prediction.working}
          />
          <Figure
            label="Chromium in solution"
            value={prediction.austenite.Cr.toFixed(1)}
            unit="%"
            working={prediction.working}
          />
          <Figure
            label="Soft austenite left"
            value={`${Math.round(prediction.retainedAustenite.final * 100)} %`}
            unit=""
            working={prediction.working}
          />
        </div>
      </div>
      <Facts grade={grade} shop={shop} />
      <button
        type="button"
        className="btn mt-4"
        onClick={() =>
          void navigator.clipboard.writeText(JSON.stringify(route)).then(
            () => toast('Route copied as JSON, as /api/predict takes it'),
            () => toast('The browser refused to copy.'),
          )
        }
      >
        Copy this route as JSON
      </button>
    </section>
  )
}

function Facts({ grade, shop }: { grade: Grade; shop: Workshop }) {
  const both = (c: number) => formatBoth(c, shop.units)
  const rows: readonly (readonly [name: string, value: string, source: string])[] = [
    [
      'Composition, wt%',
      Object.entries(grade.nominal)
        .map(([element, percent]) => `${element} ${percent}`)
        .join(', '),
      grade.compositionSource,
    ],
    [
      'Austenitize',
      `${both(grade.austenitize.minC)} to ${both(grade.austenitize.maxC)}, usually ${both(grade.austenitize.defaultC)}`,
      grade.austenitize.source,
    ],
    [
      'Soak',
      `${grade.soak.minMin} min (thin) to ${grade.soak.maxMin} min (thick), once the blade is there`,
      grade.soak.source,
    ],
    [
      'Preheat',
      grade.equalise.map(e => `${both(e.atC)} for ${e.holdMin} min`).join(', '),
      'common practice, no published source',
    ],
    ['Temper', `${both(grade.temper.minC)} to ${both(grade.temper.maxC)}`, grade.temper.source],
    ['Quench', `800 to 500 °C within ${grade.quench.slowest800to500S} s: plates do it`, grade.quench.source],
    [
      'Tempering chart',
      grade.chart
        ? grade.chart.points.map(([c, hrc]) => `${formatQuantity(c, 'temperature', shop.units)} ${hrc}`).join(', ')
        : 'none: from composition alone, so the band is wider',
      grade.chart?.source ?? 'model',
    ],
  ]
  return (
    <table className="sheet mt-5">
      <tbody>
        {rows.map(([name, value, source]) => (
          <tr key={name}>
            <th scope="row" className="w-32 !border-rule align-top">
              {name}
            </th>
            <td>
              {value}
              <span className="block text-[12.5px] text-ink-2 italic">{source}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
