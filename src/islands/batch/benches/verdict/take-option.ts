import type { LocalAnswer } from '../../../../core/record/questions/local'
import type { Reading } from '../../../../core/record/schemas'
import { routeUpTo } from '../../../../core/rockwell/stages'
import { editGroup } from '../../edit'
import type { BenchProps } from '../bench-props'
import { KIND } from './kind-words'

export type Option = LocalAnswer<'advise'>['options'][number]

/** Writes an option into the group's route behind what was measured, with its reason. */
export async function takeOption({
  batch,
  plan,
  option,
  stage,
}: {
  batch: BenchProps['batch']
  plan: BenchProps['plan']
  option: Option
  stage: Reading['stage']
}) {
  await editGroup(batch, plan.group.id, `Decide: ${KIND[option.kind].toLowerCase()}`, group => {
    const done = routeUpTo(group.route, stage)
    const route = option.temper
      ? { ...done, cold: option.cold ?? done.cold, tempers: [...done.tempers, option.temper] }
      : group.route
    return {
      ...group,
      route,
      decisions: [
        ...group.decisions,
        { at: new Date().toISOString(), what: option.steps.join(' ').slice(0, 400), why: option.why.slice(0, 1000) },
      ],
    }
  })
}
