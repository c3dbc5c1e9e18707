import { X } from 'lucide-react'
import type { Piece } from '../../../../core/plan/tray'
import type { Reading } from '../../../../core/record/schemas'
import { meanOf } from '../../../../core/rockwell/mean'
import { setReadingDeleted } from '../../../../store/records'
import { undoable } from '../../../../ui/undoable'
import { hrcText } from '../bench-props'

/** Every blade of the group with its readings of a stage; each can be taken out, and brought back. */
export function ReadingsTable({
  pieces,
  readings,
  shown,
  onPick,
}: {
  pieces: readonly Piece[]
  readings: readonly Reading[]
  shown: string
  onPick: (mark: string) => void
}) {
  return (
    <div className="mt-1 max-h-[112px] overflow-y-auto" tabIndex={0} role="region" aria-label="Readings of this stage">
      <table className="sheet">
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th className="w-24">Blade</th>
            <th className="w-24">Mean</th>
            <th>Readings, each can be taken out</th>
          </tr>
        </thead>
        <tbody>
          {pieces.map(piece => {
            const own = readings.filter(r => r.piece === piece.mark)
            return (
              <tr key={piece.mark}>
                <td>
                  <button
                    type="button"
                    className={`link min-h-6 ${piece.mark === shown ? 'font-bold text-ember' : ''}`}
                    onClick={() => onPick(piece.mark)}
                  >
                    {piece.mark}
                  </button>
                </td>
                <td className="font-semibold">{own.length > 0 ? hrcText(meanOf(own.map(r => r.hrc))) : '—'}</td>
                <td>
                  {own.map(r => (
                    <button
                      key={r.id}
                      type="button"
                      className="mr-3 inline-flex min-h-6 items-center gap-1 text-ink hover:text-bad"
                      aria-label={`Take out ${hrcText(r.hrc)} of ${piece.mark}`}
                      onClick={() =>
                        void setReadingDeleted(r.id, new Date().toISOString()).then(() =>
                          undoable(
                            `${hrcText(r.hrc)} of ${piece.mark} taken out`,
                            () => void setReadingDeleted(r.id, null),
                          ),
                        )
                      }
                    >
                      {hrcText(r.hrc)}
                      {r.roundFace && <span className="text-ink-2">({hrcText(r.roundFace.shownHrc)} on a round)</span>}{' '}
                      <X size={12} aria-hidden="true" />
                    </button>
                  ))}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
