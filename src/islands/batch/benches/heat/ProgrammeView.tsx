import { lazy, Suspense, useState } from 'react'
import { keyIn } from '../../../../core/oven/as-keyed'
import { programmeOf } from '../../../../core/plan/heat-load'
import type { Load } from '../../../../core/plan/tray'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { Prose } from '../../../../ui/Units'
import { useController } from '../../use-controller'
import { KeyedTable } from './KeyedTable'

const ControllerPanel = lazy(() => import('./ControllerPanel'))

interface Props {
  readonly batch: Batch
  readonly load: Load
  readonly oven: Oven
  readonly shop: Workshop
}

/** The programme as this controller wants it keyed, and the way to send it. */
export function ProgrammeView({ batch, load, oven, shop }: Props) {
  const { session } = useController(batch.id)
  const [sending, setSending] = useState(session !== null)
  const programme = programmeOf(load, oven)
  if (!programme.ok)
    return (
      <p className="py-6 text-bad">
        <Prose>{programme.problems[0]?.message ?? ''}</Prose>
      </p>
    )
  const keyed = keyIn(programme.value, oven.controller)
  return (
    <div>
      {keyed.ok ? (
        <KeyedTable steps={keyed.value} oven={oven} shop={shop} />
      ) : (
        <p className="py-6 text-bad">
          <Prose>{keyed.problems[0]?.message ?? ''}</Prose>
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="btn" aria-expanded={sending} onClick={() => setSending(!sending)}>
          {sending ? 'Put the controller away' : 'Send it to a controller …'}
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
          <ControllerPanel batch={batch} load={load} segments={programme.value} oven={oven} shop={shop} />
        </Suspense>
      )}
    </div>
  )
}
