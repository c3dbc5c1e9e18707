import type { TemperLoad } from '../../core/load/loads'
import { eventsOf, liveEvents } from '../../core/run/live-events'
import { recordOf } from '../../core/run/record'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { bothScales } from '../../core/units/quantity'
import { ago } from '../../ui/dates'
import { useSystem } from '../../ui/Units'
import { SAFE_WORDS, STOP_WORDS } from '../../words/incidents'
import { marksOf } from '../../words/lists'
import { BladeRecords } from './BladeRecords'
import { DrillReportPart } from './DrillReportPart'
import { RunLine } from './RunLine'
import { RunLog } from './RunLog'

interface Props {
  readonly batch: Batch
  readonly run: Run
  readonly earlier: readonly Run[]
  /** Tempers written into the route since, or left undone. */
  readonly waiting: readonly TemperLoad[]
  readonly onAgain: (what: 'all' | 'tempers') => void
}

/** Record of a run: each blade's times beside the plan, all events in order, and the way on to readings or a temper. */
export default function RunDone({ batch, run, earlier, waiting, onAgain }: Props) {
  const system = useSystem()
  const practice = run.mode === 'practice'
  const [stop] = eventsOf(liveEvents(run.events), 'stop')
  // After tempers alone the blades of the last one are read first.
  const last = run.steps.findLast(step => step.kind === 'temper-out')
  const readFirst = run.blades.length === 0 ? last?.bladeIds[0] : undefined
  return (
    <div className="mx-auto w-full max-w-[1240px] p-6 md:p-10">
      <h1 className="text-figure-small font-semibold">
        {practice ? 'Practice: ' : ''}
        {batch.name}: the run {stop ? 'was called off' : 'is finished'}
      </h1>
      {stop && (
        <p className="mt-2 text-large">
          {STOP_WORDS[stop.reason]}.{' '}
          {stop.safe.length > 0 ? `Made safe: ${stop.safe.map(point => SAFE_WORDS[point]).join('; ')}.` : ''} What was
          done stays done.
        </p>
      )}
      {practice && <p className="mt-2 text-large text-bone-2">Nothing of a practice counts for the blades.</p>}
      <div className="my-6 grid gap-4 sm:grid-cols-2">
        {practice ? (
          <a className="run-action" href={`/run/${batch.id}`}>
            To the real run
          </a>
        ) : (
          <a
            className="run-action"
            href={`/batch/${batch.id}/measure${readFirst ? `?blade=${encodeURIComponent(readFirst)}` : ''}`}
          >
            Enter readings
          </a>
        )}
        {waiting[0] && (
          <button type="button" className="run-action" onClick={() => onAgain('tempers')}>
            Temper {waiting[0].round} alone
            <small>
              {waiting
                .map(load => `${marksOf(load.blades.map(b => b.mark))} at ${bothScales(load.atC, system)}`)
                .join('; ')}
            </small>
          </button>
        )}
        <button type="button" className="run-action run-action-quiet" onClick={() => onAgain('all')}>
          {practice ? 'Practise again' : 'Run the whole batch again'}
        </button>
      </div>
      {practice && <DrillReportPart run={run} batch={batch} />}
      <RunLine run={run} batch={batch} />
      <BladeRecords records={recordOf(run)} batch={batch} />
      <h2 className="mt-8 mb-2 text-heading font-semibold">Everything in order</h2>
      {!practice && (
        <p className="mb-2 text-lead text-bone-2">
          A press that came at the wrong time is corrected here; what was pressed is kept beside it.
        </p>
      )}
      <RunLog run={run} batch={batch} />
      {practice && earlier.length > 0 && (
        <p className="mt-6 text-lead text-bone-2">
          Earlier practices: {earlier.map(one => ago(one.startedAt)).join(', ')}.
        </p>
      )}
    </div>
  )
}
