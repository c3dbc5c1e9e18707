import { useMemo } from 'react'
import { foilFor } from '../../core/foil/foil-type'
import type { Recipe } from '../../core/shop/recipe'
import { gradeOf } from '../../core/steel/grades'
import type { Prediction } from '../../core/steel/predict'
import { usualSoakMin } from '../../core/steel/usual'
import { formatBoth, formatQuantity } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { useRecipe } from '../../store/hooks'
import { format } from '../../ui/dates'
import { useSay } from '../../ui/Units'
import { cautionWords } from '../../words/cautions'
import { coldWhyWords } from '../../words/marked'
import { problemWords } from '../../words/problems'
import { addressPart } from '../address'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { useLearnt } from '../use-learnt'
import { usePredictions } from '../use-predictions'
import { latestOf } from './recipe-edit'

export default function RecipeCardPrint({ id = addressPart(3) }) {
  return (
    <Place>
      <Loaded id={id} />
    </Place>
  )
}

function Loaded({ id }: { id: string }) {
  const recipe = useRecipe(id)
  const grade = recipe && gradeOf(recipe)
  if (recipe === undefined) return <p className="p-8">Reading …</p>
  if (!recipe || !grade) return <p className="p-8">There is no such recipe in this browser.</p>
  return <Predicted recipe={recipe} grade={grade} />
}

function Predicted({ recipe, grade }: { recipe: Recipe; grade: Grade }) {
  const { route } = latestOf(recipe)
  const [prediction] =
    usePredictions(
      useMemo(() => [{ grade, route }], [grade, route]),
      useLearnt(),
    ) ?? []
  return prediction ? <Card recipe={recipe} grade={grade} prediction={prediction} /> : <p className="p-8">Reading …</p>
}

/** Thicknesses a card gives the soak for, mm. */
const THICKNESSES_MM = [2, 3, 4, 5]

/** One page to pin above the oven: the route in both scales, soak by thickness, what it should read, and why. */
function Card({ recipe, grade, prediction: p }: { recipe: Recipe; grade: Grade; prediction: Prediction }) {
  const say = useSay()
  const shop = useShopNow()
  const latest = latestOf(recipe)
  const { route } = latest
  const both = (c: number) => formatBoth(c, shop.units)
  const time = (min: number) => formatQuantity(min, 'duration', shop.units)
  const foil = foilFor(route.austenitizeC)
  const band = (e: { mean: number; sd: number }) => `${e.mean.toFixed(1)} ± ${(1.96 * e.sd).toFixed(1)}`
  const steps: readonly (readonly [what: string, at: string, then: string])[] = [
    ...grade.equalise.map((e, i) => [`Preheat ${i + 1}`, both(e.atC), `${time(e.holdMin)}, until even`] as const),
    ['Soak', both(route.austenitizeC), `${time(route.soakMin)} once the blade is there`],
    [
      'Quench',
      'plates, clamped at once',
      `${say.bare(800)} to ${say.t(500)} within ${grade.quench.slowest800to500S} s; reads ${band(p.hrc.asQuenched)}`,
    ],
    ...(route.cold
      ? [
          [
            'Cold',
            both(route.cold.toC),
            `${time(route.cold.holdMin)}, straight after the quench; reads ${p.hrc.afterCold ? band(p.hrc.afterCold) : ''}`,
          ] as const,
        ]
      : []),
    ...route.tempers.map((t, i) => {
      const after = p.hrc.afterTempers[i]
      return [
        `Temper ${i + 1}`,
        both(t.atC),
        `${time(t.holdMin)}, then cool to room; reads ${after ? band(after) : ''}`,
      ] as const
    }),
  ]
  return (
    <div className="mx-auto max-w-[190mm] px-4 py-6 print:p-0">
      <div className="no-print mb-6 flex gap-2">
        <button type="button" className="btn btn-ember" onClick={() => print()}>
          Print
        </button>
        <a className="btn" href={`/recipe/${recipe.id}`}>
          Back to the map
        </a>
      </div>
      <header className="flex items-end justify-between border-b-2 border-ink pb-2">
        <div>
          <h1 className="text-figure-small leading-tight">{recipe.name}</h1>
          <p>
            {grade.name}
            {grade.alsoNamed.length > 0 && ` (${grade.alsoNamed.join(', ')})`}, version {latest.number},{' '}
            {format(latest.at)}
          </p>
        </div>
        <p className="text-right">
          <span className="figure text-figure-huge">{p.finalHrc.mean.toFixed(1)}</span> HRC
          <span className="block text-ink-2">
            ± {(1.96 * p.finalHrc.sd).toFixed(1)}, target {recipe.target.min} to {recipe.target.max}
          </span>
        </p>
      </header>
      <table className="sheet mt-3 text-lead">
        <thead>
          <tr>
            <th>Step</th>
            <th>At</th>
            <th>For, and what it should read (HRC)</th>
          </tr>
        </thead>
        <tbody>
          {steps.map(([what, at, then]) => (
            <tr key={what}>
              <td className="font-semibold">{what}</td>
              <td className="figure text-title">{at}</td>
              <td>{then}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-4 grid grid-cols-2 gap-8">
        <section>
          <h2 className="text-lead">Soak by thickness</h2>
          <table className="sheet">
            <tbody>
              {THICKNESSES_MM.map(mm => (
                <tr key={mm}>
                  <td>{formatQuantity(mm, 'length', shop.units)}</td>
                  <td>{usualSoakMin(grade, mm)} min</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section>
          <h2 className="text-lead">To know</h2>
          <ul className="list-disc space-y-1 pl-5 text-small">
            <li>
              {foil.ok
                ? `Foil type ${foil.value.name}.`
                : foil.problems.map(found => problemWords(found, say)).join(' ')}
            </li>
            <li>
              Cold: {grade.cold.advice}. {coldWhyWords(grade, say)}
            </li>
            <li>
              {Math.round(p.retainedAustenite.final * 100)} % retained austenite, {p.austenite.Cr.toFixed(1)} % chromium
              in solution.
            </li>
            <li>Grinding must stay below {both(route.tempers.at(-1)?.atC ?? 150)}.</li>
            {p.cautions.map(c => (
              <li key={c.code}>{cautionWords(c, say)}</li>
            ))}
          </ul>
        </section>
      </div>
      <p className="mt-4 text-small">
        <strong>This version:</strong> {latest.why}
      </p>
      <p className="mt-3 border-l-4 border-rule-strong pl-3 text-note">
        Face shield, gauntlets, nothing that burns within reach; cold only with air moving. Local codes, the supplier’s
        safety sheet and licensed trades come first. {shop.name}.
      </p>
    </div>
  )
}
