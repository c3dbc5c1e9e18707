import { useId, useMemo, useState } from 'react'
import { COLD_C } from '../../core/cold/way'
import { middleOf } from '../../core/rockwell/target'
import { LONGEST } from '../../core/shop/bounds'
import type { Recipe } from '../../core/shop/recipe'
import { routeChanges } from '../../core/steel/compare-routes'
import { gradeOf, steelRequest } from '../../core/steel/grades'
import { usualCold } from '../../core/steel/route'
import { withTemperC } from '../../core/steel/usual'
import type { Grade } from '../../data/grades'
import { useRecipes } from '../../store/hooks'
import { ago } from '../../ui/dates'
import { toast } from '../../ui/toast'
import { useSay, useSystem } from '../../ui/Units'
import { versionWords } from '../../words/recipes'
import { routeChangeWords } from '../../words/steels'
import { askOnce } from '../../workers/client'
import { useAnswer } from '../../workers/use-answer'
import { sayProblems } from '../batch/edit'
import { CodeButton } from '../code/CodeButton'
import { useShopNow } from '../shop-context'
import { useKeptText } from '../use-kept-text'
import {
  type AddedRoute,
  type DraftRoute,
  duplicateRecipe,
  latestOf,
  planBatch,
  type RecipeRoute,
  saveVersion,
  setRetired,
  versionDraft,
} from './recipe-edit'

interface Props {
  readonly recipe: Recipe
  readonly grade: Grade
  readonly drafts: readonly DraftRoute[]
  readonly active: DraftRoute
  readonly onAdd: (added: AddedRoute) => void
}

/** Actions for the point: a new version with its reason, another route beside it, a batch, a card. */
export function RecipeActions({ recipe, grade, drafts, active, onAdd }: Props) {
  const say = useSay()
  const shop = useShopNow()
  const whyId = useId()
  const { text: why, set: setWhy } = useKeptText(`why of ${recipe.id}`)
  const latest = latestOf(recipe)
  const changes = routeChangeWords(routeChanges(latest.route, active.route), say)
  const save = async () => {
    const said = [changes, why.trim()].filter(Boolean).join(': ')
    if (!(await saveVersion(recipe, active.route, said)).saved) return
    setWhy('')
    toast(`Saved as version ${latest.number + 1}`)
  }
  const duplicate = async () => {
    const id = await duplicateRecipe(recipe, active.route)
    if (id) location.href = `/recipe/${id}`
  }
  return (
    <div className="mt-3">
      <Beside recipe={recipe} grade={grade} drafts={drafts} onAdd={onAdd} />
      {active.grade.id !== grade.id ? (
        <p className="mt-3 border-t border-rule pt-2 text-small text-ink-2">
          {active.key} is a route of {active.grade.name}: it stands here to compare.
        </p>
      ) : changes ? (
        <div className="mt-3 border-t border-rule pt-3">
          <label htmlFor={whyId} className="label">
            Changed: {changes}. Why?
          </label>
          <div className="flex gap-2">
            <input
              id={whyId}
              className="field"
              maxLength={LONGEST.why}
              placeholder="came out half a point soft"
              value={why}
              onChange={event => setWhy(event.target.value)}
            />
            <button type="button" className="btn btn-ember shrink-0" onClick={() => void save()}>
              Save as version {latest.number + 1}
            </button>
          </div>
        </div>
      ) : (
        <p className="mt-3 border-t border-rule pt-2 text-small text-ink-2">
          {active.key} is as in version {latest.number}. Move it, and it can be saved as version {latest.number + 1}.
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn"
          disabled={active.grade.id !== grade.id}
          onClick={() => void planBatch(recipe, active.route, shop)}
        >
          Plan a batch
        </button>
        <a className="btn" href={`/print/recipe/${recipe.id}`}>
          Card
        </a>
        <CodeButton of={async () => (await import('../../core/files/code')).carriedRecipe(recipe)} name={recipe.name} />
        <button type="button" className="btn" disabled={active.grade.id !== grade.id} onClick={() => void duplicate()}>
          Duplicate
        </button>
        <button type="button" className="btn btn-plain" onClick={() => setRetired(recipe, !recipe.retired)}>
          {recipe.retired ? 'Restore' : 'Archive'}
        </button>
      </div>
      <Versions recipe={recipe} grade={grade} full={drafts.length >= 3} onAdd={onAdd} />
    </div>
  )
}

/** Other ways to the same hardness, put beside the point. */
function Beside({ recipe, grade, drafts, onAdd }: Pick<Props, 'recipe' | 'grade' | 'drafts' | 'onAdd'>) {
  const system = useSystem()
  const recipes = useRecipes()
  if (drafts.length >= 3) return <p className="text-note text-ink-2">Three routes are the most side by side.</p>
  const [first] = drafts
  if (!first) return null
  const middle = middleOf(recipe.target)
  const own = (label: string, route: RecipeRoute): AddedRoute => ({ label, route, grade, from: null })
  const others = (recipes ?? []).filter(other => other.id !== recipe.id && !other.retired && gradeOf(other))
  const addRecipe = (id: string) => {
    const other = others.find(one => one.id === id)
    const otherGrade = other && gradeOf(other)
    const added = other && otherGrade && versionDraft(other, otherGrade, latestOf(other).number, other.name)
    if (added) onAdd(added)
  }
  /** Adds a route with the temper in a range that comes nearest to the middle of the target. */
  const addAt = (label: string, route: RecipeRoute, range: { readonly minC: number; readonly maxC: number }) =>
    void askOnce('temper-for', { steel: steelRequest(grade), route, wantedHrc: middle, range, system }).then(found =>
      found.ok ? onAdd(own(label, withTemperC(route, found.value.atC))) : sayProblems(found.problems, system),
    )
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="text-small text-ink-2">Compare with</span>
      <button type="button" className="btn" onClick={() => addAt('high temper', first.route, { minC: 470, maxC: 560 })}>
        a high temper
      </button>
      <button
        type="button"
        className="btn"
        onClick={() =>
          addAt('cooler soak', { ...first.route, austenitizeC: grade.austenitize.minC }, { minC: 150, maxC: 300 })
        }
      >
        a cooler soak
      </button>
      <button
        type="button"
        className="btn"
        onClick={() =>
          onAdd(
            own(first.route.cold ? 'no cold' : 'dry ice', {
              ...first.route,
              cold: first.route.cold ? null : usualCold(COLD_C['dry-ice']),
            }),
          )
        }
      >
        {first.route.cold ? 'no cold' : 'dry ice'}
      </button>
      {others.length > 0 && (
        <select
          className="field w-auto min-w-40"
          aria-label="Another recipe, of any steel"
          value=""
          onChange={event => addRecipe(event.target.value)}
        >
          <option value="">another recipe</option>
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      )}
    </div>
  )
}

function Versions({ recipe, grade, full, onAdd }: Pick<Props, 'recipe' | 'grade' | 'onAdd'> & { full: boolean }) {
  // The whole log is looked through for it: only when it is wished.
  const [open, setOpen] = useState(false)
  const outcomes = useAnswer(
    'recipe-versions',
    useMemo(() => (open ? { recipe } : null), [open, recipe]),
  )
  const came = (number: number) => {
    const found = outcomes?.ok ? outcomes.value.find(one => one.number === number) : null
    return found ? versionWords(found) : outcomes ? '' : 'Looking through the log …'
  }
  return (
    <details
      className="mt-3 border-t border-rule pt-2 text-small"
      onToggle={event => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-touch content-center cursor-pointer">
        Versions, {recipe.versions.length}: what changed, why, and what came of it
      </summary>
      <ul className="max-h-56 overflow-auto">
        {[...recipe.versions].reverse().map(version => (
          <li key={version.number} className="flex items-baseline gap-3 border-t border-rule py-1.5">
            <strong>{version.number}</strong>
            <span className="min-w-0 flex-1">
              {version.why} <span className="text-ink-2">{ago(version.at)}</span>
              <span className="block text-ink-2">{came(version.number)}</span>
            </span>
            {!full && version.number !== latestOf(recipe).number && (
              <button
                type="button"
                className="link min-h-row"
                onClick={() => {
                  const added = versionDraft(recipe, grade, version.number, `version ${version.number}`)
                  if (added) onAdd(added)
                }}
              >
                compare
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}
