import { lazy, Suspense, useState } from 'react'
import type { ProgrammedLoad } from '../../../../core/bench/batch-model'
import { preheatsOf, usualEntry } from '../../../../core/load/loads'
import { fromEntry } from '../../../../core/oven/entry-schools'
import { keyIn } from '../../../../core/oven/keyed-programme'
import type { Oven } from '../../../../core/shop/oven'
import { Problems } from '../../../../ui/Problems'
import { holdWords } from '../../../../words/pull-plan'
import { useBench } from '../../bench-context'
import { useController } from '../../use-controller'
import { EntryCurves } from './EntryCurves'
import { KeyedTable } from './KeyedTable'
import { useEntries } from './use-entries'

const ControllerPanel = lazy(() => import('./ControllerPanel'))

interface Props {
  readonly load: ProgrammedLoad
  readonly oven: Oven
}

/** The programme as this controller wants it keyed, and the way to send it. */
export function ProgrammeView({ load, oven }: Props) {
  const { batch } = useBench()
  const { session } = useController(batch.id)
  const [sending, setSending] = useState(session !== null)
  const { programme } = load
  if (!programme.ok) return <Problems of={programme.problems} />
  const keyed = keyIn(programme.value, oven.controller)
  return (
    <div>
      {keyed.ok && load.pulls && !sending && <p className="mb-2 text-small">{holdWords(load.pulls.hold)}</p>}
      {!sending && <PlannedCurve load={load} oven={oven} />}
      {keyed.ok ? <KeyedTable steps={keyed.value} oven={oven} /> : <Problems of={keyed.problems} />}
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="btn" aria-expanded={sending} onClick={() => setSending(!sending)}>
          {sending ? 'Close the controller' : 'Send to a controller …'}
        </button>
        <a className="btn" href={`/print/${batch.id}`}>
          Print the sheets
        </a>
        <a className="btn btn-plain" href={`/oven/${oven.id}`}>
          {oven.name}: controller and correction
        </a>
      </div>
      {sending && (
        <Suspense fallback={<p className="py-3 text-ink-2">Opening …</p>}>
          <ControllerPanel load={load} segments={programme.value} oven={oven} />
        </Suspense>
      )}
    </div>
  )
}

/** Plots oven and blade temperature of this programme: from cold, or into the oven the load before left hot. */
function PlannedCurve({ load, oven }: Props) {
  const { batch, shop, loads } = useBench()
  const answer = useEntries(load, oven)
  if (!answer?.ok) return <div className="h-[200px]" />
  const isFirst = loads.indexOf(load) === 0
  const school = isFirst ? (batch.entry ?? usualEntry(preheatsOf(load.groups))) : 'straight-in'
  const outcome = answer.value.find(one => one.school === school)
  if (!outcome) return null
  const active = isFirst ? outcome : fromEntry(outcome)
  return (
    <figure>
      <EntryCurves outcomes={[active]} active={active} system={shop.units} />
      <figcaption className="mb-1 text-note text-ink-2">
        Thin line: the oven’s display. Thick line: the blade.{' '}
        {isFirst ? 'From a cold oven.' : 'From when the blades go into the hot oven.'}
      </figcaption>
    </figure>
  )
}
