import { toast } from 'sonner'
import { newBatch } from '../../core/record/defaults'
import type { Recipe, Workshop } from '../../core/record/schemas'
import { findGrade } from '../../core/steel/grades'
import { predict } from '../../core/steel/predict'
import { formatBoth, formatQuantity } from '../../core/units/quantity'
import { addBatch } from '../../store/batches'
import { useRecipes } from '../../store/hooks'
import { putRecipe } from '../../store/records'
import { ago } from '../../ui/dates'
import { Working } from '../../ui/Working'
import { newId } from '../batch/edit'
import { Place } from '../Place'

export default function RecipesPlace() {
  return <Place>{shop => <Recipes shop={shop} />}</Place>
}

/** A grade's saved routes with their versions: what changed, and why. */
function Recipes({ shop }: { shop: Workshop }) {
  const recipes = useRecipes()
  if (!recipes) return <p className="p-6 text-ink-2">Reading …</p>
  const shown = [...recipes].sort((a, b) => Number(a.retired) - Number(b.retired) || a.name.localeCompare(b.name))
  return (
    <div className="px-4 py-6 md:px-8">
      <h1 className="text-[26px]">Recipes</h1>
      <p className="mb-4 text-ink-2">
        Saved routes. Save one from a batch’s Choose bench; begin a batch from one here.
      </p>
      {shown.length === 0 && (
        <p className="border border-dashed border-rule-strong p-6">
          No recipe yet. Open a batch, and save its route as a recipe at the Choose bench.
        </p>
      )}
      <ul className="grid gap-x-10 lg:grid-cols-2">
        {shown.map(recipe => (
          <RecipeCard key={recipe.id} recipe={recipe} shop={shop} />
        ))}
      </ul>
    </div>
  )
}

function RecipeCard({ recipe, shop }: { recipe: Recipe; shop: Workshop }) {
  const latest = recipe.versions[recipe.versions.length - 1]
  const grade = findGrade(recipe.gradeName)
  if (!latest) return null
  const { route } = latest
  const prediction = grade ? predict(grade, route) : null
  const plan = async () => {
    if (!grade) return
    const batch = newBatch({ batch: newId(), group: newId() }, recipe.name, grade, shop, new Date().toISOString())
    const group = batch.groups[0]
    if (
      group &&
      (await addBatch({ ...batch, groups: [{ ...group, route, target: recipe.target, recipeId: recipe.id }] }))
    )
      location.href = `/batch/${batch.id}/prepare`
  }
  const retire = () =>
    void putRecipe({ ...recipe, retired: !recipe.retired }).then(() =>
      toast(recipe.retired ? 'Back in use' : 'Retired', {
        action: { label: 'Undo', onClick: () => void putRecipe(recipe) },
      }),
    )
  return (
    <li className={`border-t border-rule-strong py-4 ${recipe.retired ? 'opacity-75' : ''}`}>
      <div className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-[18px]">{recipe.name}</h2>
          <p className="text-[13px] text-ink-2">
            version {latest.number}, {ago(latest.at)}
            {recipe.retired ? ', retired' : ''}; target {recipe.target.min} to {recipe.target.max} HRC
          </p>
        </div>
        {prediction && (
          <div className="text-right">
            <p>
              <span className="figure text-[34px]">{prediction.finalHrc.mean.toFixed(1)}</span>{' '}
              <span className="text-ink-2">± {(1.96 * prediction.finalHrc.sd).toFixed(1)} HRC</span>
            </p>
            <Working of={`${recipe.name}, finished hardness`} lines={prediction.working} />
          </div>
        )}
      </div>
      <dl className="mt-2 grid grid-cols-[90px_1fr] gap-y-1 text-[13.5px]">
        <dt className="text-ink-2">Soak</dt>
        <dd>
          {formatBoth(route.austenitizeC, shop.units)}, {formatQuantity(route.soakMin, 'duration', shop.units)}
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
            .map(t => `${formatBoth(t.atC, shop.units)} for ${formatQuantity(t.holdMin, 'duration', shop.units)}`)
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
        <button type="button" className="btn" onClick={() => void plan()}>
          Plan a batch
        </button>
        <button type="button" className="btn btn-plain" onClick={retire}>
          {recipe.retired ? 'Bring back' : 'Retire'}
        </button>
      </div>
    </li>
  )
}
