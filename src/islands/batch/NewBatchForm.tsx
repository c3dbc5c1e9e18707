import { Dialog } from 'radix-ui'
import { useId, useRef, useState } from 'react'
import { ASSUMED_THICKNESS_MM } from '../../core/batch/tray'
import { BOUNDS, LONGEST } from '../../core/shop/bounds'
import type { Recipe } from '../../core/shop/recipe'
import type { Grade } from '../../data/grades'
import { useRecipes } from '../../store/hooks'
import { NumberField, SelectField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { useSay } from '../../ui/Units'
import { problemWords } from '../../words/problems'
import { latestOf } from '../recipes/recipe-edit'
import { useShopNow } from '../shop-context'
import { beginBatch } from './begin-batch'

const SUGGESTED = ''

/** How many blades, how thick, by which recipe, and what the batch is called. */
export default function NewBatchForm({ grade, onBack }: { grade: Grade; onBack: () => void }) {
  const shop = useShopNow()
  const say = useSay()
  const nameId = useId()
  const recipes = (useRecipes() ?? []).filter(recipe => recipe.gradeId === grade.id && !recipe.retired)
  const [name, setName] = useState('')
  const [count, setCount] = useState(1)
  const [thicknessMm, setThicknessMm] = useState(ASSUMED_THICKNESS_MM)
  const [recipeId, setRecipeId] = useState(SUGGESTED)
  const [trouble, setTrouble] = useState<string | null>(null)
  // Enter pressed twice begins one batch.
  const beginning = useRef(false)
  const begin = async () => {
    if (beginning.current) return
    beginning.current = true
    const problems = await beginBatch(grade, shop, {
      name: name.trim() || `${grade.name}, ${dayText(new Date())}`,
      group: planOf(recipes.find(recipe => recipe.id === recipeId)),
      blades: { count, thicknessMm },
      at: 'prepare',
    })
    if (!problems) return
    beginning.current = false
    setTrouble([...problems.map(found => problemWords(found, say)), 'The batch was not begun.'].join(' '))
  }
  return (
    <form
      className="mt-4 space-y-4"
      onSubmit={event => {
        event.preventDefault()
        // A field that is still being typed in is taken first.
        if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
        const form = event.currentTarget
        setTimeout(() => {
          // What cannot be read is asked about, not replaced.
          const wrong = form.querySelector<HTMLElement>('[aria-invalid="true"]')
          if (wrong) wrong.focus()
          else void begin()
        })
      }}
    >
      <p>
        <strong>{grade.name}</strong> <span className="text-ink-2">{grade.alsoNamed.join(', ')}</span>{' '}
        <button type="button" className="link min-h-touch" onClick={onBack}>
          Choose another
        </button>
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Blades" whole value={count} {...BOUNDS.bladeCount} onCommit={setCount} />
        <QuantityField
          label="Spine thickness"
          dimension="length"
          value={thicknessMm}
          {...BOUNDS.bladeThicknessMm}
          onCommit={setThicknessMm}
        />
      </div>
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
      <div className="flex justify-end gap-2">
        <Dialog.Close className="btn">Cancel</Dialog.Close>
        <button type="submit" className="btn btn-ember">
          Begin the batch
        </button>
      </div>
    </form>
  )
}

const dayText = (day: Date) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' }).format(day)

const planOf = (recipe: Recipe | undefined) =>
  recipe && { route: latestOf(recipe).route, target: recipe.target, recipeId: recipe.id }
