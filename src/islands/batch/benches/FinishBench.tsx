import { useState } from 'react'
import { worked } from '../../../core/codes/working'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure } from '../../../ui/Bench'
import { ViewChoice } from '../../../ui/ViewChoice'
import { useBench } from '../bench-context'
import { CostView } from './finish/CostView'
import { FinishHow, FinishTable } from './finish/FinishTable'
import { SizesTable } from './finish/SizesTable'
import { Tray } from './Tray'

const VIEWS = [
  ['done', 'What is done'],
  ['sizes', 'Sizes'],
  ['cost', 'What it costs'],
] as const

/** Scale off, holes back to size, and no more heat than the last temper. */
export function FinishBench() {
  const { shop, shown } = useBench()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('done')
  const coolest = Math.min(...shown.group.route.tempers.map(t => t.atC))
  const text = Number.isFinite(coolest) ? formatQuantity(coolest, 'temperature', shop.units) : '—'
  return (
    <Bench
      title="Finish"
      says="Tempering is done. From here on, heat only makes the blade softer."
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={view === 'cost' ? <CostView /> : view === 'sizes' ? <SizesTable /> : <Tray groupId={shown.group.id} />}
      figures={
        <>
          <Figure
            label="Maximum edge temperature while grinding"
            term="temper"
            value={text.split(' ')[0] ?? ''}
            unit={text.split(' ')[1] ?? ''}
            working={[worked('coolest-temper', coolest, 'C', {})]}
          />
          <FinishHow />
          <CautionNote>
            {CAUTIONS.finish} {DEFER}
          </CautionNote>
        </>
      }
      fields={view === 'done' && <FinishTable />}
    />
  )
}
