import { useMemo, useState } from 'react'
import type { Recipe } from '../../core/shop/recipe'
import { gradeOf, gradesWith } from '../../core/steel/grades'
import { formatQuantity, formatTemperature } from '../../core/units/quantity'
import { useOwnGrades, useRecipes } from '../../store/hooks'
import { ago } from '../../ui/dates'
import { SelectField } from '../../ui/PlainFields'
import { Working } from '../../ui/Working'
import { bandText } from '../../words/speaker'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { useLearnt } from '../use-learnt'
import { usePredictions } from '../use-predictions'
import { latestOf, newRecipe, planBatch, setRetired } from './recipe-edit'

export default function RecipesPlace() {
  return (
    <Place>
      <Recipes />
    </Place>
  )
}

/** A grade's saved routes with their versions: what changed, and why. */
function Recipes() {
  const recipes = useRecipes()
  if (!recipes) return <p className="p-6 text-ink-2">Reading …</p>
  const shown = [...recipes].sort((a, b) => Number(a.retired) - Number(b.retired) || a.name.localeCompare(b.name))
  return (
    <div className="px-4 py-6 md:px-8">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-page">Recipes</h1>
          <p className="text-ink-2">Saved routes, each a point on its recipe map. Open one to move it or compare it.</p>
        </div>
        <NewRecipe />
      </header>
      {shown.length === 0 && (
        <p className="border border-dashed border-rule-strong p-6">
          No recipe yet. Choose a steel above, or save a batch’s route at its Choose bench.
        </p>
      )}
      <ul className="grid gap-x-10 lg:grid-cols-2">
        {shown.map(recipe => (
          <RecipeCard key={recipe.id} recipe={recipe} />
        ))}
      </ul>
    </div>
  )
}

function NewRecipe() {
  const shop = useShopNow()
  const grades = gradesWith(useOwnGrades() ?? [])
  const [gradeId, setGradeId] = useState(grades[0]?.id ?? '')
  const begin = async () => {
    const grade = grades.find(g => g.id === gradeId)
    const id = grade && (await newRecipe(grade, shop))
    if (id) location.href = `/recipe/${id}`
  }
  return (
    <div className="flex items-end gap-2">
      <div className="w-56">
        <SelectField
          label="Steel of a new recipe"
          value={gradeId}
          options={grades.map(g => [g.id, g.alsoNamed[1] ? `${g.name} (${g.alsoNamed[1]})` : g.name] as const)}
          onCommit={setGradeId}
        />
      </div>
      <button type="button" className="btn btn-ember" onClick={() => void begin()}>
        New recipe
      </button>
    </div>
  )
}

function RecipeCard({ recipe }: { recipe: Recipe }) {
  const shop = useShopNow()
  const latest = latestOf(recipe)
  const grade = gradeOf(recipe)
  const { route } = latest
  const [prediction] =
    usePredictions(
      useMemo(() => (grade ? [{ grade, route }] : null), [grade, route]),
      useLearnt(),
    ) ?? []
  return (
    <li className={`border-t border-rule-strong py-4 ${recipe.retired ? 'opacity-75' : ''}`}>
      <div className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-large">
            <a className="link" href={`/recipe/${recipe.id}`}>
              {recipe.name}
            </a>
          </h2>
          <p className="text-small text-ink-2">
            version {latest.number}, {ago(latest.at)}
            {recipe.retired ? ', archived' : ''}; target {recipe.target.min} to {recipe.target.max} HRC
          </p>
        </div>
        {prediction && (
          <div className="text-right">
            <p>
              <span className="figure text-figure-small">{prediction.finalHrc.mean.toFixed(1)}</span>{' '}
              <span className="text-ink-2">{bandText(prediction.finalHrc.sd)} HRC</span>
            </p>
            <Working of={`${recipe.name}, finished hardness`} lines={prediction.working} />
          </div>
        )}
      </div>
      <dl className="mt-2 grid grid-cols-[90px_1fr] gap-y-1 text-small">
        <dt className="text-ink-2">Soak</dt>
        <dd>
          {formatTemperature(route.austenitizeC, shop.units)}, {formatQuantity(route.soakMin, 'duration', shop.units)}
        </dd>
        <dt className="text-ink-2">Cold</dt>
        <dd>
          {route.cold
            ? `${formatQuantity(route.cold.toC, 'temperature', shop.units)}, ${formatQuantity(route.cold.holdMin, 'duration', shop.units)}`
            : 'none'}
        </dd>
        <dt className="text-ink-2">Tempers</dt>
        <dd>
          {route.tempers
            .map(
              t => `${formatTemperature(t.atC, shop.units)} for ${formatQuantity(t.holdMin, 'duration', shop.units)}`,
            )
            .join(', then ') || 'none'}
        </dd>
        <dt className="text-ink-2">Versions</dt>
        <dd>
          {[...recipe.versions].reverse().map(v => (
            <span key={v.number} className="block">
              {v.number}: {v.why}
            </span>
          ))}
        </dd>
      </dl>
      <div className="mt-3 flex gap-2">
        <a className="btn" href={`/recipe/${recipe.id}`}>
          Open the map
        </a>
        <button type="button" className="btn" onClick={() => void planBatch(recipe, route, shop)}>
          Plan a batch
        </button>
        <button type="button" className="btn btn-plain" onClick={() => setRetired(recipe, !recipe.retired)}>
          {recipe.retired ? 'Restore' : 'Archive'}
        </button>
      </div>
    </li>
  )
}
