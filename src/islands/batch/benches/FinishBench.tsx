import { worked } from '../../../core/codes/working'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure } from '../../../ui/Bench'
import { useBench } from '../bench-context'
import { Tray } from './Tray'

/** Scale off, holes back to size, and no more heat than the last temper. */
export function FinishBench() {
  const { shop, shown } = useBench()
  const coolest = Math.min(...shown.group.route.tempers.map(t => t.atC))
  const text = Number.isFinite(coolest) ? formatQuantity(coolest, 'temperature', shop.units) : '—'
  return (
    <Bench
      title="Finish"
      says="The temper is done; from here on heat only takes hardness away."
      drawing={<Tray groupId={shown.group.id} />}
      figures={
        <>
          <Figure
            label="Hottest the edge may get in grinding"
            value={text.split(' ')[0] ?? ''}
            unit={text.split(' ')[1] ?? ''}
            working={[worked('coolest-temper', coolest, 'C', {})]}
          />
          <CautionNote>
            {CAUTIONS.finish} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <ul className="list-disc space-y-1 pl-5 text-small">
          <li>Scale off first; a blade from a tight packet needs little more than a wipe and a fine belt.</li>
          <li>Pivot holes have grown tight: hone them back to size.</li>
          <li>Fresh belts, bare fingers near the edge as a thermometer, water in reach. A blue edge is a soft edge.</li>
        </ul>
      }
    />
  )
}
