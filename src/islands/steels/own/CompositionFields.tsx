import { useId, useState } from 'react'
import { useFormContext } from 'react-hook-form'
import { type CompositionText, parseCompositionText } from '../../../core/files/own-grade/composition-text'
import type { SheetDraft } from '../../../core/files/own-grade/sheet-draft'
import { ELEMENTS } from '../../../data/grades'
import { listOf } from '../../../words/lists'
import { Text } from './SheetFields'

const COLUMNS = [
  ['nominal', 'Nominal'],
  ['least', 'Least'],
  ['most', 'Most'],
] as const

/** A composition pasted from a sheet: what is read of it goes into the fields below. */
function PasteField() {
  const id = useId()
  const { setValue } = useFormContext<SheetDraft>()
  const [read, setRead] = useState<CompositionText | null>(null)
  const take = (text: string) => {
    if (text.trim() === '') return setRead(null)
    const found = parseCompositionText(text)
    setRead(found)
    for (const { name } of COLUMNS_READ)
      for (const [element, value] of Object.entries(found[name]))
        setValue(`${name}.${element as (typeof ELEMENTS)[number]}`, value, { shouldDirty: true })
  }
  return (
    <div className="mt-1">
      <label htmlFor={id} className="label">
        Paste it from the sheet, as a row, a list or a table
      </label>
      <textarea
        id={id}
        rows={2}
        className="field"
        placeholder="C 1.05 Cr 14 Mo 4"
        onChange={event => take(event.target.value)}
      />
      {read && <p className="mt-1 text-note text-ink-2">{readSays(read)}</p>}
    </div>
  )
}

const COLUMNS_READ = [{ name: 'nominal' }, { name: 'least' }, { name: 'most' }] as const

function readSays({ nominal, least, most, unread }: CompositionText): string {
  const known = ELEMENTS.filter(element => nominal[element] ?? least[element] ?? most[element])
  const found = known.length > 0 ? `Read: ${listOf(known)}.` : 'No element was found in it.'
  return unread.length > 0 ? `${found} Not read: ${unread.slice(0, 6).join(', ')}.` : found
}

/** Composition in wt%: nominal is enough; least and most narrow or widen the band. */
export function CompositionFields() {
  return (
    <section aria-label="Composition">
      <h2 className="text-lead">Composition, wt%</h2>
      <PasteField />
      <div className="mt-1 overflow-x-auto">
        <table className="w-full min-w-[760px] border-separate border-spacing-x-1">
          <thead>
            <tr>
              <th className="w-16">
                <span className="sr-only">Column</span>
              </th>
              {ELEMENTS.map(element => (
                <th key={element} scope="col" className="text-left text-small font-semibold">
                  {element}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {COLUMNS.map(([column, label]) => (
              <tr key={column}>
                <th scope="row" className="text-left text-note font-normal text-ink-2">
                  {label}
                </th>
                {ELEMENTS.map(element => (
                  <td key={element} className="align-top">
                    <Text name={`${column}.${element}`} label={`${label} ${element}`} hideLabel longest={12} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
