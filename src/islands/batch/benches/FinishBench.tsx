import { bladesOf } from '../../../core/plan/tray'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure } from '../../../ui/Bench'
import { TrayDrawing } from '../../../ui/drawings/TrayDrawing'
import type { BenchProps } from './bench-props'

/** Scale off, holes back to size, and no more heat than the last temper. */
export function FinishBench({ batch, plan, shop }: BenchProps) {
  const coolest = Math.min(...plan.group.route.tempers.map(t => t.atC))
  const shown = Number.isFinite(coolest) ? formatQuantity(coolest, 'temperature', shop.units) : '—'
  return (
    <Bench
      title="Finish"
      says="The temper is done; from here on heat only takes hardness away."
      drawing={<TrayDrawing rows={bladesOf(batch, plan.group.id)} />}
      figures={
        <>
          <Figure
            label="Hottest the edge may get in grinding"
            value={shown.split(' ')[0] ?? ''}
            unit={shown.split(' ')[1] ?? ''}
            working={[
              {
                name: 'Coolest temper of the route',
                value: coolest,
                unit: '°C',
                equation: 'heat above the temper softens',
                source: 'common practice, no published source',
              },
            ]}
          />
          <CautionNote>
            {CAUTIONS.finish} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <ul className="list-disc space-y-1 pl-5 text-[13.5px]">
          <li>Scale off first; a blade from a tight packet needs little more than a wipe and a fine belt.</li>
          <li>Pivot holes have grown tight: hone them back to size.</li>
          <li>Fresh belts, bare fingers near the edge as a thermometer, water in reach. A blue edge is a soft edge.</li>
        </ul>
      }
    />
  )
}
