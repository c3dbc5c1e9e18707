import type { Saving } from '../../core/codes/result'
import { LONGEST } from '../../core/shop/bounds'
import type { Recipe } from '../../core/shop/recipe'
import type { Workshop } from '../../core/shop/workshop'
import { gradeOf, planFor } from '../../core/steel/grades'
import type { Grade } from '../../data/grades'
import { putRecipe } from '../../store/records'
import { writing } from '../../store/writing'
import { beginBatch } from '../batch/begin-batch'
import { newId } from '../batch/edit'
import { undoable } from '../undo'

export type RecipeRoute = Recipe['versions'][number]['route']

/** A route on the map that is not saved yet. */
export interface DraftRoute {
  readonly key: string
  readonly label: string
  readonly route: RecipeRoute
  readonly grade: Grade
  /** The recipe and the version it is, as long as it was not moved; null: a route of its own. */
  readonly from: { readonly recipe: Recipe; readonly number: number } | null
}

/** A draft without its key. */
export type AddedRoute = Omit<DraftRoute, 'key'>

/** A version of a recipe as a draft. */
export const versionDraft = (recipe: Recipe, grade: Grade, number: number, label: string): AddedRoute | null => {
  const version = recipe.versions.find(one => one.number === number)
  return version ? { label, route: version.route, grade, from: { recipe, number } } : null
}

/** The newest version of a recipe; a stored one has at least one. */
export const latestOf = (recipe: Recipe) => recipe.versions.at(-1) as Recipe['versions'][number]

/** Adds a version with what changed and why. */
export const saveVersion = (recipe: Recipe, route: RecipeRoute, why: string): Promise<Saving> =>
  putRecipe({
    ...recipe,
    versions: [...recipe.versions, { number: latestOf(recipe).number + 1, at: new Date().toISOString(), route, why }],
  })

/** A recipe of its own that begins where another stands. The new one's id, or null when it was refused. */
export async function duplicateRecipe(recipe: Recipe, route: RecipeRoute): Promise<string | null> {
  const id = newId()
  const made: Recipe = {
    ...recipe,
    id,
    name: `${recipe.name}, a second way`.slice(0, LONGEST.recipeName),
    retired: false,
    versions: [{ number: 1, at: new Date().toISOString(), route, why: `From ${recipe.name}.` }],
  }
  return (await putRecipe(made)).saved ? id : null
}

/** A first recipe for a grade: the suggested route for its usual target and this shop. The new one's id, or null when it was refused. */
export async function newRecipe(grade: Grade, shop: Workshop): Promise<string | null> {
  const id = newId()
  const { saved } = await writing(writers => {
    const { target, route } = writers.suggestedFirst(grade, shop)
    const why = 'Suggested for the grade’s usual target and this shop.'
    const versions = [{ number: 1, at: new Date().toISOString(), route, why }]
    return writers.putRecipe({ id, name: `${grade.name}, new`, ...planFor(grade), target, retired: false, versions })
  })
  return saved ? id : null
}

/** Begins a batch by a recipe's route and goes there. */
export async function planBatch(recipe: Recipe, route: RecipeRoute, shop: Workshop) {
  const grade = gradeOf(recipe)
  if (!grade) return
  const group = { route, target: recipe.target, recipeId: recipe.id }
  await beginBatch(grade, shop, { name: recipe.name, group, at: 'prepare' })
}

export const setRetired = (recipe: Recipe, retired: boolean): void =>
  void putRecipe({ ...recipe, retired }, `${recipe.name} ${retired ? 'retired' : 'back in use'}`).then(
    done => done.saved && undoable(`${recipe.name}: ${retired ? 'retired' : 'back in use'}`),
  )
