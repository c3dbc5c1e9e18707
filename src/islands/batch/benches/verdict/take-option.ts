import { decidedTemper, nextTemper, sameTemper, withoutDecidedTemper } from '../../../../core/batch/added-temper'
import { routeUpTo } from '../../../../core/batch/hardness-stages'
import { withRoute } from '../../../../core/batch/route-edit'
import type { Answer } from '../../../../core/contract/questions'
import type { Hardness } from '../../../../core/hardness/hardness'
import type { Batch, BatchGroup } from '../../../../core/shop/batch'
import { editGroup } from '../../edit'
import { KIND } from './kind-words'

export type Option = Answer<'advise'>['options'][number]

/** Writes an option into the group's route behind what was measured, with what it rested on. */
export async function takeOption({
  batch,
  group,
  option,
  hardness,
}: {
  batch: Batch
  group: BatchGroup
  option: Option
  hardness: Hardness
}) {
  await editGroup(batch, group.id, `Decide: ${KIND[option.kind].toLowerCase()}`, now => {
    // A second press adds nothing: it is in the route.
    if (
      option.temper &&
      decidedTemper(now, hardness.stage) &&
      sameTemper(nextTemper(now.route, hardness.stage), option.temper)
    )
      return now
    const done = routeUpTo(now.route, hardness.stage)
    const route = option.temper
      ? { ...done, cold: option.cold ?? done.cold, tempers: [...done.tempers, option.temper] }
      : now.route
    return {
      ...withRoute(now, route),
      recipeId: now.recipeId,
      decisions: [
        ...now.decisions,
        {
          by: 'option' as const,
          at: new Date().toISOString(),
          kind: option.kind,
          temper: option.temper,
          cold: option.cold,
          from: { stage: hardness.stage, hrc: hardness.hrc, u95: Math.min(20, hardness.u95) },
          target: now.target,
          toHrc: option.hrc.mean,
          inTargetProbability: option.inTargetProbability,
          note: '',
        },
      ],
    }
  })
}

/** Takes the temper that was decided on after these readings out of the route again. */
export const takeOutDecided = (batch: Batch, group: BatchGroup, { stage }: Hardness) =>
  editGroup(batch, group.id, 'Temper taken out', now => withoutDecidedTemper(now, stage))
