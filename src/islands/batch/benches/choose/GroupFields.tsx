import { linesOf } from '../../../../core/batch/tray'
import { newGroup } from '../../../../core/new-batch/new-batch'
import { withEnd } from '../../../../core/rockwell/target'
import { BOUNDS, LONGEST, MOST } from '../../../../core/shop/bounds'
import { gradesWith } from '../../../../core/steel/grades'
import { USE_NAMES, USES } from '../../../../data/uses'
import { editBatch } from '../../../../store/batches'
import { useOwnGrades } from '../../../../store/hooks'
import { NumberField, SelectField, TextField } from '../../../../ui/PlainFields'
import { undoable } from '../../../undo'
import { useBench } from '../../bench-context'
import { editGroup } from '../../edit'
import { AddSteel } from './AddSteel'
import { TryChange } from './TryChange'

/** Steel, lot and target of the group shown, and steels added to the batch. */
export function GroupFields() {
  const { batch, shop, shown } = useBench()
  const { group } = shown
  const own = useOwnGrades() ?? []
  const grades = gradesWith(own)
  const newer =
    group.sheet && own.find(g => g.id === group.gradeId && JSON.stringify(g) !== JSON.stringify(group.sheet))
  const setGrade = (id: string) => {
    const grade = grades.find(g => g.id === id)
    if (!grade) return
    const { thicknessMm } = shown
    void editGroup(batch, group.id, `Steel to ${grade.name}`, () =>
      newGroup(group.id, grade, shop, { thicknessMm }),
    ).then(() => undoable(`${grade.name}, with its usual target and a suggested route`))
  }
  const setTarget = (part: Partial<typeof group.target>) =>
    editGroup(batch, group.id, 'Target', g => ({ ...g, target: withEnd(g.target, part, BOUNDS.hrc) }))
  const removable = batch.groups.length > 1 && linesOf(batch, group.id).length === 0
  return (
    <div className="mb-3 grid grid-cols-2 gap-3 sm:grid-cols-[1.6fr_1fr_1fr_1fr_1fr_auto]">
      <SelectField
        label="Steel"
        value={group.gradeId}
        options={grades.map(g => [g.id, g.alsoNamed[1] ? `${g.name} (${g.alsoNamed[1]})` : g.name] as const)}
        onCommit={setGrade}
      />
      <TextField
        label="Lot or bar"
        value={group.lot ?? ''}
        longest={LONGEST.lot}
        mayBeEmpty
        onCommit={lot => editGroup(batch, group.id, 'Lot', g => ({ ...g, lot }))}
      />
      <SelectField
        label="Use"
        value={group.use ?? 'kitchen'}
        options={USE_NAMES.map(name => [name, USES[name].label] as const)}
        onCommit={use => void editGroup(batch, group.id, 'Use', g => ({ ...g, use }))}
      />
      <NumberField
        label="Target from"
        unit="HRC"
        value={group.target.min}
        {...BOUNDS.hrc}
        onCommit={min => setTarget({ min })}
      />
      <NumberField
        label="Target to"
        unit="HRC"
        value={group.target.max}
        {...BOUNDS.hrc}
        onCommit={max => setTarget({ max })}
      />
      <div className="flex items-end gap-2">
        {batch.groups.length < MOST.groups && <AddSteel />}
        <TryChange />
        {newer && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              void editGroup(batch, group.id, 'Newer sheet', g => ({ ...g, sheet: newer })).then(() =>
                undoable(`${group.gradeName}: the sheet as it is now`),
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
