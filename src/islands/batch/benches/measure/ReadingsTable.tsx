import X from 'lucide-react/icons/x'
import type { BatchBlade } from '../../../../core/batch/tray'
import { type MeasuredBlades, measuredAt } from '../../../../core/hardness/measured-hardness'
import { readingsOf } from '../../../../core/hardness/readings-of'
import type { Reading } from '../../../../core/shop/reading'
import type { Stage } from '../../../../core/shop/route'
import { removeReading } from '../../../../store/records'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { hrcText } from '../../../../words/speaker'
import { undoable } from '../../../undo'

interface Props {
  readonly blades: readonly BatchBlade[]
  readonly stage: Stage
  readonly readings: readonly Reading[]
  /** Undefined while it is worked out. */
  readonly measured: MeasuredBlades | undefined
  readonly shownId: string
  readonly onPick: (bladeId: string) => void
}

/** Every blade of the group with its hardness at a stage and the readings it rests on; each can be taken out, and brought back. */
export function ReadingsTable({ blades, stage, readings, measured, shownId, onPick }: Props) {
  return (
    <ScrollRegion label="Readings of this stage" className="mt-1 max-h-[calc(var(--row)*3.5)] overflow-y-auto">
      <table className="sheet">
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th className="w-24">Blade</th>
            <th className="w-24">HRC</th>
            <th>Readings as shown by the tester; each can be removed</th>
          </tr>
        </thead>
        <tbody>
          {blades.map(blade => {
            const hardness = measured && measuredAt(measured, blade.id, stage)
            return (
              <tr key={blade.id}>
                <td>
                  <button
                    type="button"
                    className={`link min-h-row min-w-row text-left ${blade.id === shownId ? 'font-bold text-ember' : ''}`}
                    onClick={() => onPick(blade.id)}
                  >
                    {blade.mark}
                  </button>
                </td>
                <td className="font-semibold">{hardness ? hrcText(hardness.hrc) : hardness === null ? '—' : '…'}</td>
                <td>
                  {readingsOf([blade], stage, { readings }).map(reading => (
                    <ReadingButton key={reading.id} reading={reading} mark={blade.mark} />
                  ))}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </ScrollRegion>
  )
}

function ReadingButton({ reading, mark }: { reading: Reading; mark: string }) {
  const shown = hrcText(reading.hrc)
  const takeOut = () =>
    void removeReading(reading.id, `Reading ${shown} of ${mark} removed`).then(
      ({ saved }) => saved && undoable(`Reading ${shown} of ${mark} removed`),
    )
  return (
    <button
      type="button"
      className="mr-3 inline-flex min-h-row items-center gap-1 text-ink hover:text-bad"
      aria-label={`Remove ${shown} of ${mark}`}
      onClick={takeOut}
    >
      {shown}
      {reading.roundFace && <span className="text-ink-2">({hrcText(reading.roundFace.shownHrc)} on a round face)</span>}{' '}
      <X size={12} aria-hidden="true" />
    </button>
  )
}
