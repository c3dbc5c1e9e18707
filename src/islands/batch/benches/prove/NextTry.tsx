import { routeWish } from '../../../../core/advice/shop-can'
import { batchAimedAt } from '../../../../core/new-batch/new-batch'
import { rounded } from '../../../../core/numeric/round'
import type { Batch, BatchGroup } from '../../../../core/shop/batch'
import { LONGEST } from '../../../../core/shop/bounds'
import { gradeOf } from '../../../../core/steel/grades'
import { addBatch } from '../../../../store/batches'
import { useRecipe } from '../../../../store/hooks'
import { toast } from '../../../../ui/toast'
import { hrcText } from '../../../../words/speaker'
import { askOnce } from '../../../../workers/client'
import { saveVersion } from '../../../recipes/recipe-edit'
import { useBench } from '../../bench-context'
import { newId, sayProblems } from '../../edit'

interface Props {
  readonly batch: Batch
  readonly group: BatchGroup
  readonly hrc: number
  readonly tests: number
}

/** Half of the band about what is aimed at, HRC. */
const HALF_HRC = 0.5

/** Takes what is suggested: a batch like this one aimed at it, or the recipe's next version. */
export function NextTry({ batch, group, hrc, tests }: Props) {
  const { shop } = useBench()
  const recipe = useRecipe(group.recipeId ?? '')
  if (tests === 0) return null
  const shownHrc = rounded(hrc, 1)
  const target = { min: shownHrc - HALF_HRC, max: shownHrc + HALF_HRC }
  const plan = async () => {
    const name = `${batch.name}, aimed at ${hrcText(shownHrc)}`.slice(0, LONGEST.batchName)
    const next = batchAimedAt(batch, group.id, target, { newId, name, nowIso: new Date().toISOString() })
    const { saved, problems } = await addBatch(next)
    if (saved) location.href = `/batch/${next.id}/choose`
    else sayProblems(problems, shop.units)
  }
  const version = async () => {
    const grade = gradeOf(group)
    if (!recipe || !grade) return
    const { can } = routeWish(grade, shop, { target })
    const route = await askOnce('suggested-route', { grade, target, can })
    if (!route.ok) return sayProblems(route.problems, shop.units)
    const why = `Aimed at ${hrcText(shownHrc)} HRC after ${tests} edge tests.`
    const { saved } = await saveVersion({ ...recipe, target }, route.value, why)
    if (saved) toast(`Saved as the next version of ${recipe.name}.`)
  }
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <button type="button" className="btn btn-ember" onClick={() => void plan()}>
        Plan a batch at {hrcText(shownHrc)} HRC
      </button>
      {recipe && (
        <button type="button" className="btn" onClick={() => void version()}>
          Make it the recipe’s next version
        </button>
      )}
    </div>
  )
}
