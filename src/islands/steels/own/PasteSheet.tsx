import { useId, useState } from 'react'
import { useFormContext } from 'react-hook-form'
import { type CompositionText, parseCompositionText } from '../../../core/files/own-grade/composition-text'
import type { SheetDraft } from '../../../core/files/own-grade/sheet-draft'
import { sheetTextIn } from '../../../core/files/own-grade/sheet-text'
import type { ELEMENTS } from '../../../data/grades'
import { compositionReadWords } from '../../../words/steels'

const COLUMNS = ['nominal', 'least', 'most'] as const

/** Takes a whole sheet in one paste: its composition and its tempering table go into their fields. */
export function PasteSheet() {
  const id = useId()
  const { getValues, setValue } = useFormContext<SheetDraft>()
  const [read, setRead] = useState<CompositionText | null>(null)
  const take = (text: string) => {
    const { composition, chart } = sheetTextIn(text, getValues('units'))
    if (chart !== '') setValue('chart', chart, { shouldDirty: true })
    if (composition.trim() === '') return setRead(null)
    const found = parseCompositionText(composition)
    setRead(found)
    for (const column of COLUMNS)
      for (const [element, value] of Object.entries(found[column]))
        setValue(`${column}.${element as (typeof ELEMENTS)[number]}`, value, { shouldDirty: true })
  }
  return (
    <div>
      <label htmlFor={id} className="label">
        Paste the sheet: composition, and the tempering table under it
      </label>
      <textarea
        id={id}
        rows={3}
        className="field py-2"
        placeholder={'C 1.05 Cr 14 Mo 4\n200  60.5\n300  57'}
        onChange={event => take(event.target.value)}
      />
      {read && (
        <p role="status" className="mt-1 text-small">
          {compositionReadWords(read)}
        </p>
      )}
    </div>
  )
}
