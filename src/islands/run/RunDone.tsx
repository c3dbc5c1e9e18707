import type { TemperLoad } from '../../core/job/loads'
import { runStateAt } from '../../core/job/run-state'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { formatBoth } from '../../core/units/quantity'
import { useSystem } from '../../ui/Units'
import { clockText } from '../../words/clock-text'
import { marksOf } from '../../words/lists'
import { stepWords } from '../../words/run'

interface Props {
  readonly batch: Batch
  readonly run: Run
  /** Tempers written into the route since. */
  readonly waiting: readonly TemperLoad[]
  readonly onAgain: (what: 'all' | 'tempers') => void
}

/** What happened, in order; and on to the readings, or to a temper that was added since. */
export function RunDone({ batch, run, waiting, onAgain }: Props) {
  const system = useSystem()
  const { confirmed } = runStateAt(run, 0, null)
  const remarks = run.events.filter(e => e.kind === 'remark')
  return (
    <div className="mx-auto max-w-3xl p-6 md:p-10">
      <h1 className="text-figure-small font-semibold">{batch.name}: the run is finished</h1>
      <div className="my-6 grid gap-4 sm:grid-cols-2">
        <a className="run-action" href={`/batch/${batch.id}/measure`}>
          Enter readings
        </a>
        {waiting[0] && (
          <button type="button" className="run-action" onClick={() => onAgain('tempers')}>
            Temper {waiting[0].round} alone
            <small>
              {waiting
                .map(load => `${marksOf(load.blades.map(b => b.mark))} at ${formatBoth(load.atC, system)}`)
                .join('; ')}
            </small>
          </button>
        )}
        <button type="button" className="run-action run-action-quiet" onClick={() => onAgain('all')}>
          Run the whole batch again
        </button>
      </div>
      <h2 className="mb-2 text-heading font-semibold">Log{run.mode === 'practice' ? ' of a practice run' : ''}</h2>
      <ol className="text-lead">
        {confirmed.map(({ step, atS }) => (
          <li key={step.id} className="grid grid-cols-[90px_1fr] border-t border-soot-rule py-1.5">
            <span className="text-bone-2">{clockText(atS)}</span>
            <span>{stepWords(step, batch, system).action}</span>
          </li>
        ))}
        {remarks.map((event, i) => (
          <li key={`${event.atS} ${i}`} className="grid grid-cols-[90px_1fr] border-t border-soot-rule py-1.5">
            <span className="text-bone-2">{clockText(event.atS)}</span>
            <span>Remark: {event.text}</span>
          </li>
        ))}
      </ol>
    </div>
  )
}
