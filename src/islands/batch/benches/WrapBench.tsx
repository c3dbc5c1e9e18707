import { useState } from 'react'
import { goesIntoOil } from '../../../core/equipment/quench-way'
import { Bench } from '../../../ui/Bench'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { useBench } from '../bench-context'
import { useWrap } from '../use-wrap'
import { EmptyTray } from './EmptyTray'
import { EnvelopeFields, EnvelopeView } from './wrap/EnvelopeView'
import { PacketsView } from './wrap/PacketsView'
import { ProtectionView } from './wrap/ProtectionView'
import { RollFields, RollView } from './wrap/RollView'
import { WrapFigures } from './wrap/WrapFigures'

const VIEWS = [
  ['roll', 'Roll'],
  ['envelope', 'Envelope'],
  ['packets', 'Packets'],
  ['protection', 'Other ways'],
] as const
type View = (typeof VIEWS)[number][0]

const SAYS: Readonly<Record<View, string>> = {
  roll: 'Cut along the bold lines in order, then inside each section. Drag a sheet to move it.',
  envelope: 'One sheet laid flat. Cut it, fold it in half, and roll the seams flat, all to one side.',
  packets: 'Put the blade in butt first, its edge to the folded side. Tick each packet when its seams are rolled.',
  protection: 'Ways to keep air from the steel, cheapest first, with your work counted.',
}

const bareSays = (gradeName: string) =>
  `${gradeName} goes into the oil without foil: foil would keep the oil off the blade. Leave more to grind off, or use an anti-scale coating.`

/** Every blade of the batch is quenched in oil. */
function BareIntoOil() {
  const { shown } = useBench()
  return (
    <section aria-label="Wrap" className="max-w-xl p-6">
      <h2 className="text-heading">Wrap</h2>
      <p className="my-3">{bareSays(shown.group.gradeName)}</p>
    </section>
  )
}

/** From blades to marked packets: envelopes, the cut plan on the roll, seals, and the other ways to keep air out. */
export function WrapBench() {
  const { batch, shown, shop } = useBench()
  const [view, setView] = useState<View>('roll')
  const wrap = useWrap(batch)
  const mm = useSay().length
  if (batch.lines.length === 0) return <EmptyTray title="Wrap" what="envelope sizes and a cut plan" />
  if (wrap.lines.length === 0) return <BareIntoOil />
  const shared = { wrap, mm }
  return (
    <Bench
      title="Wrap"
      says={SAYS[view]}
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        <>
          {view === 'roll' && <RollView {...shared} />}
          {view === 'envelope' && <EnvelopeView mm={mm} />}
          {view === 'packets' && <PacketsView />}
          {view === 'protection' && <ProtectionView {...shared} />}
          {goesIntoOil(shown.group, shop) && (
            <p className="mt-2 text-small font-semibold">{bareSays(shown.group.gradeName)}</p>
          )}
        </>
      }
      figures={<WrapFigures {...shared} />}
      fields={view === 'roll' ? <RollFields {...shared} /> : view === 'envelope' ? <EnvelopeFields /> : undefined}
    />
  )
}
