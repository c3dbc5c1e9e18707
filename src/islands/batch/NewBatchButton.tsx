import { Plus } from 'lucide-react'
import { Dialog } from 'radix-ui'
import { useId, useState } from 'react'
import { newBatch } from '../../core/record/defaults'
import type { Workshop } from '../../core/record/schemas'
import { gradesWith } from '../../core/steel/grades'
import { addBatch } from '../../store/batches'
import { useOwnGrades } from '../../store/hooks'
import { SelectField } from '../../ui/PlainFields'
import { newId } from './edit'

/** A batch begins with a name and a steel; everything else has a suggested value. */
export function NewBatchButton({ shop }: { shop: Workshop }) {
  const nameId = useId()
  const [name, setName] = useState('')
  const grades = gradesWith(useOwnGrades() ?? [])
  const [gradeName, setGradeName] = useState<string>(grades[0]?.name ?? '')
  const [trouble, setTrouble] = useState<string | null>(null)
  const begin = async () => {
    const grade = grades.find(g => g.name === gradeName)
    if (!grade) return
    const batch = newBatch(
      { batch: newId(), group: newId() },
      name.trim() || 'New batch',
      grade,
      shop,
      new Date().toISOString(),
    )
    if (await addBatch(batch)) location.href = `/batch/${batch.id}/choose`
    else
      setTrouble(
        'The browser refused to store the batch, so it was not begun. Allow storage for this address, or free some space, then press Begin again.',
      )
  }
  return (
    <Dialog.Root>
      <Dialog.Trigger className="btn btn-ember">
        <Plus size={17} aria-hidden="true" /> New batch
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#1c1713]/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 w-[min(440px,calc(100vw-24px))] -translate-x-1/2 -translate-y-1/2 bg-ash p-6 text-ink"
        >
          <Dialog.Title className="text-xl">New batch</Dialog.Title>
          <form
            className="mt-4 space-y-4"
            onSubmit={event => {
              event.preventDefault()
              void begin()
            }}
          >
            <div>
              <label htmlFor={nameId} className="label">
                Name
              </label>
              <input
                id={nameId}
                className="field"
                maxLength={80}
                autoComplete="off"
                value={name}
                onChange={event => setName(event.target.value)}
              />
            </div>
            <SelectField
              label="First steel"
              value={gradeName}
              options={grades.map(
                g => [g.name, `${g.name}, usually ${g.usualTarget.minHrc} to ${g.usualTarget.maxHrc} HRC`] as const,
              )}
              onCommit={setGradeName}
            />
            <p className="text-[13px]">
              Not sure?{' '}
              <a className="link" href="/steels?view=suggest">
                Let the use choose the steel
              </a>
              .
            </p>
            {trouble && (
              <p role="alert" className="text-bad">
                {trouble}
              </p>
            )}
            <div className="flex justify-end gap-2">
              <Dialog.Close className="btn">Not now</Dialog.Close>
              <button type="submit" className="btn btn-ember">
                Begin
              </button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
