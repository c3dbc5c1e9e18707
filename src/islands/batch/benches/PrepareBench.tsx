import Plus from 'lucide-react/icons/plus'
import { useState } from 'react'
import { timesHardened } from '../../../core/batch/tray'
import { addLine } from '../../../core/batch/tray-edit'
import { worked } from '../../../core/codes/working'
import { steelKgOf } from '../../../core/load/loads'
import { LONGEST, MOST } from '../../../core/shop/bounds'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure } from '../../../ui/Bench'
import { TextField } from '../../../ui/PlainFields'
import { ScrollRegion } from '../../../ui/ScrollRegion'
import { ViewChoice } from '../../../ui/ViewChoice'
import { useBench } from '../bench-context'
import { newId } from '../edit'
import { AddSteel } from './choose/AddSteel'
import { BeforeHeat } from './prepare/BeforeHeat'
import { LineRow } from './prepare/LineRow'
import { OutlineView } from './prepare/OutlineView'
import { Unplaced } from './prepare/Unplaced'
import { Tray } from './Tray'

const VIEWS = [
  ['tray', 'Tray'],
  ['outline', 'Outline'],
  ['before', 'Before heat'],
] as const
type View = (typeof VIEWS)[number][0]

const SAYS: Readonly<Record<View, string>> = {
  tray: 'All blanks drawn to one scale. The bar behind each tip shows its thickness.',
  outline: 'The shape of each blade, from a few figures or from a drawing file. Every drawing uses it.',
  before: 'What must be done before heat, and how much steel to leave on.',
}

/** The tray: what blades there are, marked and counted, and made ready. */
export function PrepareBench() {
  const { batch, shop, shown, blades } = useBench()
  // Blades that were hardened before begin with their anneal.
  const again = blades.some(blade => timesHardened(blade) > 1)
  const [view, setView] = useState<View>(again ? 'before' : 'tray')
  const kg = steelKgOf(blades)
  const weight = formatQuantity(kg, 'mass', shop.units).split(' ')
  const some = batch.lines.length > 0
  const add = () => void editBatch(batch, 'Add blades', b => addLine(b, shown.group.id, newId))
  return (
    <Bench
      title="Prepare"
      says={SAYS[view]}
      views={some ? <ViewChoice views={VIEWS} view={view} onView={setView} /> : undefined}
      drawing={
        !some ? (
          <div className="border border-dashed border-rule-strong p-6">
            <p className="mb-3">No blades yet. Enter one line for equal blades; each gets its own mark.</p>
            <button type="button" className="btn btn-ember" onClick={add}>
              Add the first blade
            </button>
          </div>
        ) : view === 'tray' ? (
          <Tray />
        ) : view === 'outline' ? (
          <OutlineView />
        ) : (
          <BeforeHeat />
        )
      }
      figures={
        <>
          <Figure label="Blades counted in" value={String(blades.length)} unit="" />
          <Figure
            label="Steel"
            value={weight[0] ?? ''}
            unit={weight[1] ?? ''}
            working={[worked('tray-weight', kg, 'kg', {})]}
          />
          <Unplaced />
          <TextField
            label="Note: whom the blades are for, or anything else"
            value={batch.note}
            longest={LONGEST.note}
            mayBeEmpty
            onCommit={note => editBatch(batch, 'Note', b => ({ ...b, note }))}
          />
          <ul className="mt-2 list-disc space-y-1 pl-5 text-small">
            <li>Degrease every blade: a fingerprint burns in under foil.</li>
            <li>Drill every hole and stamp every mark now: hardened steel is too hard for it.</li>
            <li>Round every sharp inside corner: cracks begin there.</li>
          </ul>
          <CautionNote>
            {CAUTIONS.prepare} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        some &&
        view === 'tray' && (
          <>
            <ScrollRegion label="Blades" className="max-h-[260px] overflow-auto">
              <table className="sheet min-w-[720px]">
                <thead className="sticky top-0 bg-ash">
                  <tr>
                    <th className="w-18">Mark</th>
                    <th className="w-42">Steel</th>
                    <th>Length</th>
                    <th>Width</th>
                    <th>Spine</th>
                    <th className="w-18">Count</th>
                    <th className="w-34">Bevels</th>
                    <th className="w-11">
                      <span className="sr-only">Remove</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {batch.lines.map(line => (
                    <LineRow key={line.id} line={line} />
                  ))}
                </tbody>
              </table>
            </ScrollRegion>
            <div className="mt-3 flex flex-wrap gap-2">
              <button type="button" className="btn" onClick={add}>
                <Plus size={16} aria-hidden="true" /> Add blades like the last
              </button>
              {batch.groups.length < MOST.groups && <AddSteel />}
            </div>
          </>
        )
      }
    />
  )
}
