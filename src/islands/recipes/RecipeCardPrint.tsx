import { useMemo } from 'react'
import type { Recipe } from '../../core/shop/recipe'
import { gradeOf } from '../../core/steel/grades'
import type { Prediction } from '../../core/steel/predict'
import { usualSoakMin } from '../../core/steel/usual'
import { formatQuantity } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { useRecipe } from '../../store/hooks'
import { format } from '../../ui/dates'
import { useSay } from '../../ui/Units'
import { CARD_CAUTION, CARD_THICKNESSES_MM, recipeMarkdown, recipeNotes, recipeSteps } from '../../words/recipe-card'
import { bandText } from '../../words/speaker'
import { addressPart } from '../address'
import { download } from '../download'
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

/** One page to pin above the oven: the route in both scales, soak by thickness, what it should read, and why. */
function Card({ recipe, grade, prediction: p }: { recipe: Recipe; grade: Grade; prediction: Prediction }) {
  const say = useSay()
  const shop = useShopNow()
  const latest = latestOf(recipe)
  const { route } = latest
  const steps = recipeSteps(grade, route, p, say)
  return (
    <div className="mx-auto max-w-[190mm] px-4 py-6 print:p-0">
      <div className="no-print mb-6 flex gap-2">
        <button type="button" className="btn btn-ember" onClick={() => print()}>
          Print
        </button>
        <button
          type="button"
          className="btn"
          onClick={() =>
            download(`recipe-${recipe.name}.md`, 'text/markdown', recipeMarkdown({ recipe, grade, prediction: p }, say))
          }
        >
          As Markdown
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
            {bandText(p.finalHrc.sd)}, target {recipe.target.min} to {recipe.target.max}
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
              {CARD_THICKNESSES_MM.map(mm => (
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
            {recipeNotes(grade, route, p, say).map(note => (
              <li key={note}>{note}</li>
            ))}
          </ul>
        </section>
      </div>
      <p className="mt-4 text-small">
        <strong>This version:</strong> {latest.why}
      </p>
      <p className="mt-3 border-l-4 border-rule-strong pl-3 text-note">
        {CARD_CAUTION} {shop.name}.
      </p>
    </div>
  )
}
