import { toast } from 'sonner'
import { bladesOf } from '../../../../core/plan/tray'
import { newGroup } from '../../../../core/record/defaults'
import { BOUNDS } from '../../../../core/record/schemas'
import { gradesWith } from '../../../../core/steel/grades'
import { editBatch } from '../../../../store/batches'
import { useOwnGrades } from '../../../../store/hooks'
import { NumberField, SelectField, TextField } from '../../../../ui/PlainFields'
import { editGroup, newId, sayWithUndo } from '../../edit'
import type { BenchProps } from '../bench-props'

/** Steel, lot and target of the group shown, and steels added to the batch. */
export function GroupFields({ batch, plan, shop }: Pick<BenchProps, 'batch' | 'plan' | 'shop'>) {
  const { group } = plan
  const own = useOwnGrades() ?? []
  const grades = gradesWith(own)
  const newer =
    group.sheet && own.find(g => g.name === group.gradeName && JSON.stringify(g) !== JSON.stringify(group.sheet))
  const setGrade = (name: string) => {
    const grade = grades.find(g => g.name === name)
    if (!grade) return
    const fresh = newGroup(group.id, grade, shop, plan.thicknessMm)
    void editGroup(batch, group.id, `Steel to ${name}`, () => fresh).then(() =>
      sayWithUndo(`${name}, with its usual target and a suggested route`, batch.id),
    )
  }
  const setTarget = (target: typeof group.target) => {
    if (target.min >= target.max) toast('The lower end of the target must be below the upper end.')
    else void editGroup(batch, group.id, 'Target', g => ({ ...g, target }))
  }
  const addSteel = () => {
    const grade = grades.find(g => !batch.groups.some(own => own.gradeName === g.name)) ?? plan.grade
    void editBatch(batch, 'Add a steel', b => ({ ...b, groups: [...b.groups, newGroup(newId(), grade, shop, 2.5)] }))
  }
  const removable = batch.groups.length > 1 && bladesOf(batch, group.id).length === 0
  return (
    <div className="mb-3 grid grid-cols-2 gap-3 sm:grid-cols-[1.6fr_1fr_1fr_1fr_auto]">
      <SelectField
        label="Steel"
        value={group.gradeName}
        options={grades.map(g => [g.name, g.alsoNamed[1] ? `${g.name} (${g.alsoNamed[1]})` : g.name] as const)}
        onCommit={setGrade}
      />
      <TextField
        label="Lot or bar"
        value={group.lot ?? ''}
        longest={40}
        mayBeEmpty
        onCommit={lot => void editGroup(batch, group.id, 'Lot', g => ({ ...g, lot }))}
      />
      <NumberField
        label="Target from"
        unit="HRC"
        value={group.target.min}
        {...BOUNDS.hrc}
        onCommit={min => setTarget({ ...group.target, min })}
      />
      <NumberField
        label="Target to"
        unit="HRC"
        value={group.target.max}
        {...BOUNDS.hrc}
        onCommit={max => setTarget({ ...group.target, max })}
      />
      <div className="flex items-end gap-2">
        {batch.groups.length < 6 && (
          <button type="button" className="btn" onClick={addSteel}>
            Add a steel
          </button>
        )}
        {newer && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              void editGroup(batch, group.id, 'Newer sheet', g => ({ ...g, sheet: newer })).then(() =>
                sayWithUndo(`${group.gradeName}: the sheet as it is now`, batch.id),
              )
            }
          >
            Take the changed sheet
          </button>
        )}
        {removable && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              void editBatch(batch, `Remove ${group.gradeName}`, b => ({
                ...b,
                groups: b.groups.filter(g => g.id !== group.id),
              }))
            }
          >
            Remove
          </button>
        )}
      </div>
    </div>
  )
}
