import { useState } from 'react'
import { newGroup } from '../../../../core/new-batch/new-batch'
import { gradesWith } from '../../../../core/steel/grades'
import { editBatch } from '../../../../store/batches'
import { useOwnGrades } from '../../../../store/hooks'
import { SheetDialog } from '../../../SheetDialog'
import { SteelSearch } from '../../../SteelSearch'
import { undoable } from '../../../undo'
import { useBench } from '../../bench-context'
import { newId } from '../../edit'

/** A further steel in the batch: asks which, and goes to it. */
export function AddSteel() {
  const { batch, shop, show } = useBench()
  const [open, setOpen] = useState(false)
  const grades = gradesWith(useOwnGrades() ?? [])
  return (
    <SheetDialog
      title="Add a steel to this batch"
      open={open}
      onOpen={setOpen}
      trigger={
        <button type="button" className="btn">
          Add a steel
        </button>
      }
    >
      <div className="mt-4">
        <SteelSearch
          label="Find a steel"
          grades={grades}
          autoFocus
          onChoose={grade => {
            const id = newId()
            setOpen(false)
            void editBatch(batch, `Add ${grade.name}`, b => ({
              ...b,
              groups: [...b.groups, newGroup(id, grade, shop)],
            })).then(() => {
              show(id)
              undoable(`${grade.name} added. Enter its blades at Prepare.`)
            })
          }}
        />
      </div>
    </SheetDialog>
  )
}
