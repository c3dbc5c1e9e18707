import { Dialog } from 'radix-ui'
import { useId, useRef, useState } from 'react'
import { LONGEST } from '../../core/shop/bounds'
import type { Recipe } from '../../core/shop/recipe'
import type { Grade } from '../../data/grades'
import { useRecipes } from '../../store/hooks'
import { SelectField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { problemWords } from '../../words/problems'
import { latestOf } from '../recipes/recipe-edit'
import { useShopNow } from '../shop-context'
import { type AskedBlades, BladesForm } from './BladesForm'
import { beginBatch } from './begin-batch'

const SUGGESTED = ''

/** How many blades, how thick, by which recipe, and what the batch is called. */
export default function NewBatchForm({ grade, onBack }: { grade: Grade; onBack: () => void }) {
  const shop = useShopNow()
  const say = useSay()
  const nameId = useId()
  const recipes = (useRecipes() ?? []).filter(recipe => recipe.gradeId === grade.id && !recipe.retired)
  const [name, setName] = useState('')
  const [recipeId, setRecipeId] = useState(SUGGESTED)
  const [trouble, setTrouble] = useState<string | null>(null)
  // Enter pressed twice begins one batch.
  const beginning = useRef(false)
  const begin = async (blades: AskedBlades) => {
    if (beginning.current) return
    beginning.current = true
    const problems = await beginBatch(grade, shop, {
      name: name.trim() || `${grade.name}, ${dayText(new Date())}`,
      group: planOf(recipes.find(recipe => recipe.id === recipeId)),
      blades,
      at: 'prepare',
    })
    if (!problems) return
    beginning.current = false
    setTrouble([...problems.map(found => problemWords(found, say)), 'The batch was not begun.'].join(' '))
  }
  return (
    <BladesForm
      grade={grade}
      onBack={onBack}
      onBlades={blades => void begin(blades)}
      buttons={
        <>
          <Dialog.Close className="btn">Cancel</Dialog.Close>
          <button type="submit" className="btn btn-ember">
            Begin the batch
          </button>
        </>
      }
    >
      {recipes.length > 0 && (
        <SelectField
          label="Route"
          value={recipeId}
          options={[
            [SUGGESTED, 'suggested for these blades'] as const,
            ...recipes.map(recipe => [recipe.id, `recipe: ${recipe.name}`] as const),
          ]}
          onCommit={setRecipeId}
        />
      )}
      <div>
        <label htmlFor={nameId} className="label">
          Name of the batch
        </label>
        <input
          id={nameId}
          className="field"
          maxLength={LONGEST.batchName}
          autoComplete="off"
          placeholder={`${grade.name}, ${dayText(new Date())}`}
          value={name}
          onChange={event => setName(event.target.value)}
        />
      </div>
      {trouble && (
        <p role="alert" className="text-bad">
          {trouble}
        </p>
      )}
    </BladesForm>
  )
}

const dayText = (day: Date) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' }).format(day)

const planOf = (recipe: Recipe | undefined) =>
  recipe && { route: latestOf(recipe).route, target: recipe.target, recipeId: recipe.id }
