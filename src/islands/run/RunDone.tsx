import { runStateAt } from '../../core/plan/run-state'
import type { Batch, Run } from '../../core/record/schemas'
import { clockText } from './clock-text'

/** What happened, in order; and on to the readings. */
export function RunDone({ batch, run, onAgain }: { batch: Batch; run: Run; onAgain: () => void }) {
  const { confirmed } = runStateAt(run, 0, null)
  const remarks = run.events.filter(e => e.kind === 'remark')
  return (
    <div className="mx-auto max-w-3xl p-6 md:p-10">
      <h1 className="text-[34px] font-semibold">{batch.name}: the run is over</h1>
      <div className="my-6 grid gap-4 sm:grid-cols-2">
        <a className="run-action" href={`/batch/${batch.id}/measure`}>
          Enter readings
        </a>
        <button type="button" className="run-action run-action-quiet" onClick={onAgain}>
          Run again
        </button>
      </div>
      <h2 className="mb-2 text-[20px] font-semibold">Log{run.mode === 'practice' ? ' of a practice run' : ''}</h2>
      <ol className="text-[16px]">
        {confirmed.map(({ step, atS }) => (
          <li key={step.id} className="grid grid-cols-[90px_1fr] border-t border-soot-rule py-1.5">
            <span className="text-bone-2">{clockText(atS)}</span>
            <span>{step.action}</span>
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
