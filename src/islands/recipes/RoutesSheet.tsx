import type { Recipe } from '../../core/shop/recipe'
import { type ComparedRoute, whyDifferent } from '../../core/steel/compare-routes'
import type { Grade } from '../../data/grades'
import { useSystem } from '../../ui/Units'
import { differenceWords } from '../../words/steels'
import { CompareTable } from './CompareTable'
import { RecipeActions } from './RecipeActions'
import type { AddedRoute, DraftRoute } from './recipe-edit'

interface Props {
  readonly recipe: Recipe
  readonly grade: Grade
  readonly drafts: readonly DraftRoute[]
  /** Those of the drafts that are worked out, in the same order. */
  readonly compared: readonly ComparedRoute[]
  readonly active: DraftRoute
  readonly onActive: (key: string) => void
  readonly onRemove: (key: string) => void
  readonly onAdd: (added: AddedRoute) => void
}

/** The routes of a recipe side by side, what sets them apart, and what can be done with the chosen one. */
export default function RoutesSheet({ recipe, grade, drafts, compared, active, onActive, onRemove, onAdd }: Props) {
  const system = useSystem()
  const [first, ...others] = compared
  return (
    <div className="min-w-0">
      <CompareTable
        drafts={drafts.slice(0, compared.length)}
        compared={compared}
        activeKey={active.key}
        system={system}
        onActive={onActive}
        onRemove={onRemove}
      />
      {first &&
        others.map(other => (
          <p key={other.name} className="mt-2 text-small">
            {whyDifferent(first, other)
              .map(one => differenceWords(one, first.name, other.name))
              .join(' ')}
          </p>
        ))}
      <RecipeActions recipe={recipe} grade={grade} drafts={drafts} active={active} onAdd={onAdd} />
    </div>
  )
}
