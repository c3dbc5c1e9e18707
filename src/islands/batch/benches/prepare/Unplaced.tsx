import { sharedMarks } from '../../../../core/batch/tray'
import { editBlade } from '../../../../core/batch/tray-edit'
import type { Batch } from '../../../../core/shop/batch'
import { editBatch } from '../../../../store/batches'
import { placeReadings } from '../../../../store/records'
import { SelectField } from '../../../../ui/PlainFields'
import { counted, listOf } from '../../../../words/lists'
import { useBench } from '../../bench-context'

type Note = NonNullable<Batch['unplaced']>[number]

/** Lists notes under marks that no blade bears, or that two bear, to be given to a blade by hand. */
export function Unplaced() {
  const { batch, readings, blades } = useBench()
  const shared = sharedMarks(batch)
  const notes = batch.unplaced ?? []
  const lost = readings.filter(r => r.bladeId === null)
  const lostMarks = [...new Set(lost.map(r => r.unplaced?.mark ?? ''))]
  const choices = [['', 'choose a blade …'] as const, ...blades.map(b => [b.id, `${b.mark} (${b.serial})`] as const)]
  return (
    <>
      {shared.length > 0 && (
        <p role="alert" className="mt-2 border-l-3 border-bad pl-3 text-small">
          <strong className="text-bad">Two blades are marked {listOf(shared)}.</strong> Give one of the lines another
          mark, so that readings and packets can be told apart.
        </p>
      )}
      {notes.map(note => (
        <div key={note.mark} className="mt-2 border-l-3 border-bad pl-3 text-small">
          <p>
            <strong>{note.mark}</strong> is no blade of this batch, yet {listOf(kindsOf(note))} of it{' '}
            {kindsOf(note).length === 1 ? 'is' : 'are'} kept from an older version.
          </p>
          <SelectField
            label={`Give what is known of ${note.mark} to`}
            value=""
            options={choices}
            onCommit={id => id !== '' && void editBatch(batch, `${note.mark} placed`, b => place(b, note, id))}
          />
        </div>
      ))}
      {lostMarks.map(mark => {
        const own = lost.filter(r => (r.unplaced?.mark ?? '') === mark)
        return (
          <div key={mark} className="mt-2 border-l-3 border-bad pl-3 text-small">
            <p>
              {counted(own.length, 'reading')} of <strong>{mark || 'a blade without a mark'}</strong>{' '}
              {own.length === 1 ? 'belongs' : 'belong'} to no one blade of this batch.
            </p>
            <SelectField
              label={`Give the readings of ${mark} to`}
              value=""
              options={choices}
              onCommit={id =>
                id !== '' &&
                void placeReadings(
                  own.map(r => r.id),
                  id,
                )
              }
            />
          </div>
        )
      })}
    </>
  )
}

const kindsOf = (note: Note): string[] => [
  ...(note.packet ? ['its packet'] : []),
  ...(note.inspection ? ['what was seen'] : []),
  ...(note.tempers ? ['tempers'] : []),
  ...(note.files ? ['files tried'] : []),
]

/** Moves a note to a blade, if the blade has none of that kind. */
const place = (batch: Batch, { mark, ...note }: Note, bladeId: string): Batch =>
  editBlade({ ...batch, unplaced: (batch.unplaced ?? []).filter(other => other.mark !== mark) }, bladeId, blade => ({
    ...note,
    ...blade,
  }))
