import { Dialog } from 'radix-ui'
import { useState } from 'react'
import { layBlades } from '../../../../core/batch/tray-edit'
import { newGroup } from '../../../../core/new-batch/new-batch'
import { gradesWith } from '../../../../core/steel/grades'
import type { Grade } from '../../../../data/grades'
import { editBatch } from '../../../../store/batches'
import { useOwnGrades } from '../../../../store/hooks'
import { SheetDialog } from '../../../SheetDialog'
import { SteelSearch } from '../../../SteelSearch'
import { undoable } from '../../../undo'
import { type AskedBlades, BladesForm } from '../../BladesForm'
import { useBench } from '../../bench-context'
import { newId } from '../../edit'

/** A further steel in the batch with its first blades: asks which and how many, and goes to it. */
export default function AddSteelDialog({ onClose }: { onClose: () => void }) {
  const { batch, shop, show } = useBench()
  const [grade, setGrade] = useState<Grade | null>(null)
  const grades = gradesWith(useOwnGrades() ?? [])
  const add = (chosen: Grade, blades: AskedBlades) => {
    const [id, now] = [newId(), new Date().toISOString()]
    onClose()
    void editBatch(batch, `Add ${chosen.name}`, b =>
      layBlades(
        { ...b, groups: [...b.groups, newGroup(id, chosen, shop, { thicknessMm: blades.thicknessMm })] },
        id,
        blades,
        newId,
        now,
      ),
    ).then(({ saved }) => {
      if (!saved) return
      show(id)
      undoable(`${chosen.name} added.`)
    })
  }
  return (
    <SheetDialog title="Add a steel to this batch" open onOpen={now => !now && onClose()}>
      {grade ? (
        <BladesForm
          grade={grade}
          onBack={() => setGrade(null)}
          onBlades={blades => add(grade, blades)}
          buttons={
            <>
              <Dialog.Close className="btn">Cancel</Dialog.Close>
              <button type="submit" className="btn btn-ember">
                Add the steel
              </button>
            </>
          }
        />
      ) : (
        <div className="mt-4">
          <SteelSearch label="Find a steel" grades={grades} autoFocus onChoose={setGrade} />
        </div>
      )}
    </SheetDialog>
  )
}
