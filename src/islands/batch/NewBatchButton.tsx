import { Plus } from 'lucide-react'
import { Dialog } from 'radix-ui'
import { useId, useRef, useState } from 'react'
import { LONGEST } from '../../core/shop/bounds'
import { gradesWith } from '../../core/steel/grades'
import { useOwnGrades } from '../../store/hooks'
import { SelectField } from '../../ui/PlainFields'
import { useSay } from '../../ui/Units'
import { problemWords } from '../../words/problems'
import { useShopNow } from '../shop-context'
import { beginBatch } from './begin-batch'

/** A batch begins with a name and a steel; everything else has a suggested value. */
export function NewBatchButton() {
  const shop = useShopNow()
  const say = useSay()
  const nameId = useId()
  const [name, setName] = useState('')
  const grades = gradesWith(useOwnGrades() ?? [])
  const [gradeId, setGradeId] = useState<string>(grades[0]?.id ?? '')
  const [trouble, setTrouble] = useState<string | null>(null)
  // Enter pressed twice begins one batch.
  const beginning = useRef(false)
  const begin = async () => {
    const grade = grades.find(g => g.id === gradeId)
    if (!grade || beginning.current) return
    beginning.current = true
    const problems = await beginBatch(grade, shop, { name: name.trim() || 'New batch' })
    if (!problems) return
    beginning.current = false
    setTrouble([...problems.map(found => problemWords(found, say)), 'The batch was not begun.'].join(' '))
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
          <Dialog.Title className="text-heading">New batch</Dialog.Title>
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
                maxLength={LONGEST.batchName}
                autoComplete="off"
                value={name}
                onChange={event => setName(event.target.value)}
              />
            </div>
            <SelectField
              label="First steel"
              value={gradeId}
              options={grades.map(
                g => [g.id, `${g.name}, usually ${g.usualTarget.minHrc} to ${g.usualTarget.maxHrc} HRC`] as const,
              )}
              onCommit={setGradeId}
            />
            <p className="text-small">
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
