import { useRef, useState } from 'react'
import type { BatchBlade } from '../../core/batch/tray'
import { LONGEST } from '../../core/shop/bounds'
import { PICTURE_SUBJECTS, type Picture } from '../../core/shop/picture'
import { usePictures } from '../../store/blade-hooks'
import { addPicture, removePicture } from '../../store/pictures'
import { format } from '../../ui/dates'
import { SelectField } from '../../ui/PlainFields'
import { pictureUrl, readPicture } from '../../ui/read-picture'
import { toast } from '../../ui/toast'
import { SUBJECT_NAMES } from '../../words/pictures'
import { newId, sayProblems } from '../batch/edit'
import { useShopNow } from '../shop-context'

/** Photos of a blade: from a file or the camera, kept in this browser and in its export. */
export function Pictures({ blade }: { blade: BatchBlade }) {
  const { units } = useShopNow()
  const pictures = usePictures(blade.id)
  const [of, setOf] = useState<Picture['of']>('edge')
  const [note, setNote] = useState('')
  const [busy, setBusy] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const add = async (files: readonly File[]) => {
    setBusy(true)
    for (const file of files) {
      const read = await readPicture(file)
      if (!read.ok) {
        sayProblems(read.problems, units)
        continue
      }
      const { saved, problems } = await addPicture({
        ...read.value,
        id: newId(),
        batchId: blade.record.batchId,
        bladeId: blade.id,
        at: new Date().toISOString(),
        deletedAt: null,
        of,
        note: note.trim(),
      })
      if (!saved) sayProblems(problems, units)
      else toast('Picture kept. Place and device are not in it.')
    }
    setBusy(false)
    setNote('')
    if (input.current) input.current.value = ''
  }
  return (
    <section aria-label="Pictures" className="mt-6">
      <h2 className="text-heading">Pictures</h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <SelectField
          label="Of"
          value={of}
          options={PICTURE_SUBJECTS.map(one => [one, SUBJECT_NAMES[one]] as const)}
          onCommit={setOf}
        />
        <label className="grid min-w-56 flex-1 gap-1 text-small">
          What it shows
          <input
            className="field"
            maxLength={LONGEST.remark}
            value={note}
            onChange={event => setNote(event.target.value)}
          />
        </label>
        <label className={`btn ${busy ? 'opacity-60' : ''}`}>
          {busy ? 'Reading …' : 'Add a picture'}
          <input
            ref={input}
            type="file"
            accept="image/*"
            multiple
            className="sr-only"
            disabled={busy}
            onChange={event => void add([...(event.target.files ?? [])])}
          />
        </label>
      </div>
      {pictures?.length === 0 && (
        <p className="mt-2 text-small text-ink-2">
          None yet. A photo of the colour out of the foil, of scale, of a chip: it stays in this browser and in your
          exports.
        </p>
      )}
      <ul className="mt-3 grid grid-cols-2 gap-4 md:grid-cols-3">
        {pictures?.map(picture => (
          <li key={picture.id}>
            <img
              src={pictureUrl(picture)}
              alt={`${SUBJECT_NAMES[picture.of]} of ${blade.mark}${picture.note ? `: ${picture.note}` : ''}`}
              className="max-h-52 w-full border border-rule object-contain"
            />
            <p className="text-note">
              {SUBJECT_NAMES[picture.of]}, {format(picture.at)}
              {picture.note && `: ${picture.note}`}
            </p>
            <button
              type="button"
              className="min-h-touch text-small text-ink-2 underline"
              onClick={() => void removePicture(picture.id)}
            >
              Take it out
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
