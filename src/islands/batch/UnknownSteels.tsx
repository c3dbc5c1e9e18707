import { thicknessOf } from '../../core/batch/tray'
import type { BatchModel } from '../../core/bench/batch-model'
import { newGroup } from '../../core/new-batch/new-batch'
import type { BatchGroup } from '../../core/shop/batch'
import { gradesWith } from '../../core/steel/grades'
import { useOwnGrades } from '../../store/hooks'
import { SelectField } from '../../ui/PlainFields'
import { counted } from '../../words/lists'
import { undoable } from '../undo'
import { editGroup } from './edit'

/**
 * Steels of the batch that are neither shipped nor among the maker's own: nothing can be keyed for them, and another is never taken
 * in silence. Each is named, with the way to say what it is.
 */
const UnknownSteels = ({ model }: { model: BatchModel }) => (
  <div role="alert" className="space-y-3 border-b-2 border-bad bg-ember-wash px-4 py-3 md:px-6">
    {model.unknown.map(group => (
      <UnknownSteel key={group.id} group={group} model={model} />
    ))}
  </div>
)

export default UnknownSteels

function UnknownSteel({ group, model: { batch, shop, blades } }: { group: BatchGroup; model: BatchModel }) {
  const grades = gradesWith(useOwnGrades() ?? [])
  const count = blades.filter(blade => blade.group.id === group.id).length
  const choose = async (gradeId: string) => {
    const grade = grades.find(one => one.id === gradeId)
    if (!grade) return
    const thicknessMm = thicknessOf(batch, group.id)
    await editGroup(batch, group.id, `Steel to ${grade.name}`, ({ lot }) =>
      newGroup(group.id, grade, shop, { lot, thicknessMm }),
    )
    undoable(`${grade.name}, with its usual target and a suggested route`)
  }
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
      <p className="max-w-xl min-w-60 flex-1">
        <strong className="text-bad">{group.gradeName} is not known here.</strong> Nothing is worked out for its{' '}
        {counted(count, 'blade')}, and their load cannot be keyed or run. Say what steel they are, or add the grade
        under{' '}
        <a className="link" href="/steels">
          Steels
        </a>
        .
      </p>
      <div className="w-72">
        <SelectField
          label={`Instead of ${group.gradeName}`}
          value=""
          options={[['', 'choose a steel'] as const, ...grades.map(grade => [grade.id, grade.name] as const)]}
          onCommit={id => void choose(id)}
        />
      </div>
    </div>
  )
}
