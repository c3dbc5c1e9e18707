import { Dialog } from 'radix-ui'
import { lazy, Suspense, useState } from 'react'
import { gradesWith } from '../../core/steel/grades'
import type { Grade } from '../../data/grades'
import { useOwnGrades } from '../../store/hooks'
import { SheetDialog } from '../SheetDialog'
import { SteelSearch } from '../SteelSearch'

const BladesForm = lazy(() => import('./NewBatchForm'))

/** First the steel, then its blades. */
export default function NewBatchDialog({ onClose }: { onClose: () => void }) {
  const [grade, setGrade] = useState<Grade | null>(null)
  return (
    <SheetDialog title="New batch" open onOpen={now => !now && onClose()}>
      {grade ? (
        <Suspense fallback={<p className="py-6 text-ink-2">Opening …</p>}>
          <BladesForm grade={grade} onBack={() => setGrade(null)} />
        </Suspense>
      ) : (
        <FirstSteel onChoose={setGrade} />
      )}
    </SheetDialog>
  )
}

function FirstSteel({ onChoose }: { onChoose: (grade: Grade) => void }) {
  const grades = gradesWith(useOwnGrades() ?? [])
  return (
    <div className="mt-4 space-y-3">
      <p className="text-small">Which steel is it? Others can be added to the batch later.</p>
      <SteelSearch label="Find a steel" grades={grades} onChoose={onChoose} autoFocus />
      <p className="text-small">
        Not sure?{' '}
        <a className="link" href="/steels?view=suggest">
          Choose a steel by its use
        </a>
        .
      </p>
      <div className="flex justify-end">
        <Dialog.Close className="btn">Cancel</Dialog.Close>
      </div>
    </div>
  )
}
