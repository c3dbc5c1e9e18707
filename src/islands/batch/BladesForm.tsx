import { type ReactNode, useEffect, useRef, useState } from 'react'
import { ASSUMED_THICKNESS_MM } from '../../core/batch/tray'
import { BOUNDS } from '../../core/shop/bounds'
import type { Grade } from '../../data/grades'
import { NumberField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'

export interface AskedBlades {
  readonly count: number
  readonly thicknessMm: number
}

interface Props {
  readonly grade: Grade
  readonly onBack: () => void
  /** Further fields, and what is wrong. */
  readonly children?: ReactNode
  /** Buttons; the one that submits among them. */
  readonly buttons: ReactNode
  readonly onBlades: (blades: AskedBlades) => void
}

/** How many blades of a steel, and how thick: the cursor stands in the first field, and Enter in any of them is enough. */
export function BladesForm({ grade, onBack, children, buttons, onBlades }: Props) {
  const form = useRef<HTMLFormElement>(null)
  const [count, setCount] = useState(1)
  const [thicknessMm, setThicknessMm] = useState(ASSUMED_THICKNESS_MM)
  // As they are when the form is sent: a field that was left a moment ago has changed them.
  const latest = useRef({ count, thicknessMm })
  latest.current = { count, thicknessMm }
  useEffect(() => form.current?.querySelector('input')?.focus(), [])
  return (
    <form
      ref={form}
      className="mt-4 space-y-4"
      onSubmit={event => {
        event.preventDefault()
        // A field that is still being typed in is taken first.
        if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
        setTimeout(() => {
          // What cannot be read is asked about, not replaced.
          const wrong = form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')
          if (wrong) wrong.focus()
          else onBlades(latest.current)
        })
      }}
    >
      <p>
        <strong>{grade.name}</strong> <span className="text-ink-2">{grade.alsoNamed.join(', ')}</span>{' '}
        <button type="button" className="link min-h-touch" onClick={onBack}>
          Choose another
        </button>
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Blades" whole value={count} {...BOUNDS.bladeCount} onCommit={setCount} />
        <QuantityField
          label="Spine thickness"
          dimension="length"
          value={thicknessMm}
          {...BOUNDS.bladeThicknessMm}
          onCommit={setThicknessMm}
        />
      </div>
      {children}
      <div className="flex justify-end gap-2">{buttons}</div>
    </form>
  )
}
