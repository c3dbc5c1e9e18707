import { useMemo } from 'react'
import { bladesOf } from '../../core/batch/tray'
import { shownWhere } from '../../core/run/follow-oven'
import { eventsOf, liveEvents } from '../../core/run/live-events'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { measuredTrace } from '../../core/trace/run-trace'
import HeatLine from '../../ui/heatline/HeatLine'
import { counted } from '../../words/lists'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'
import { useRunTracks } from './use-run-oven'

/** Shows the oven temperature of a run over the plan of the batch's first steel: by its model, and by its display readings. */
export function RunLine({ run, batch }: { run: Run; batch: Batch }) {
  const shop = useShopNow()
  const { ovens, units } = shop
  const plan = useAnswer(
    'batch-line',
    useMemo(() => ({ batch, shop: { ovens, units } }), [batch, ovens, units]),
  )
  const tracks = useRunTracks(run, batch)
  const [group] = batch.groups
  const stretches = plan?.ok ? plan.value : null
  const trace = useMemo(() => {
    if (!tracks || !stretches || !group) return []
    const ids = new Set(bladesOf(batch, group.id).map(blade => blade.id))
    const endS = run.events.at(-1)?.atS ?? 0
    return measuredTrace(run, stretches, ids, shownWhere(tracks, endS), null).trace
  }, [tracks, stretches, group, batch, run])
  if (!stretches || !group || trace.length === 0) return null
  const readings = eventsOf(liveEvents(run.events), 'shows').length
  return (
    <section aria-label="The run on the Heat Line" className="mb-8">
      <h2 className="mb-1 text-heading font-semibold">The run on the Heat Line: {group.gradeName}</h2>
      <p className="mb-2 text-lead text-bone-2">
        Grey: planned. Solid: the oven, calculated
        {readings > 0 ? `, corrected by ${counted(readings, 'reading')} of its display` : ''}.
      </p>
      <HeatLine stretches={stretches} others={[]} system={units} stations={null} trace={trace} now={null} />
    </section>
  )
}
