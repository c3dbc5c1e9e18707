import { DAY_MIN, dayStartMin } from '../../core/units/time'
import { heatDoneWords, taskWords } from '../../words/day'
import { clockAt, dayAndClock, type NameOf, tasksOfDay } from './day-view'
import { heatActOf, markHeat } from './mark-heat'
import type { Day, DayPlan } from './use-day'

interface Props {
  readonly plan: DayPlan
  readonly day: Day
  readonly nameOf: NameOf
  readonly index: number
  /** Asks when a batch is to be hardened; null where nothing is changed. */
  readonly onMove: ((batchId: string) => void) | null
}

/** One day act by act: the drawing in words, to be ticked off on paper. */
export function DayActs({ plan, day, nameOf, index, onMove }: Props) {
  const tasks = tasksOfDay(plan.tasks, index, day.nowMin)
  const from = dayStartMin(index)
  /** The night's acts say their day. */
  const at = (min: number) => (min < from + DAY_MIN ? clockAt : dayAndClock)(day.origin, min)
  const batchIdOf = (group: string | undefined) => day.answer?.groups.find(({ id }) => id === group)?.batchId
  const nameOfBatch = (id: string | undefined) => day.batches.find(batch => batch.id === id)?.name ?? ''
  return (
    <section aria-label="Step by step" className="mt-6">
      <h2 className="border-b border-rule-strong pb-1 text-lead">Step by step</h2>
      {tasks.length === 0 && <p className="py-2.5 text-ink-2">Nothing is left to do on this day.</p>}
      <ol>
        {tasks.map(task => {
          const batchId = batchIdOf(task.groups[0])
          return (
            <li
              key={`${task.kind} ${task.startMin} ${task.groups[0]}`}
              className="grid min-h-touch print:min-h-0 grid-cols-[116px_minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule py-1"
            >
              <span className="font-semibold tabular-nums">
                {at(task.startMin)} to {clockAt(day.origin, task.endMin)}
              </span>
              <span>
                {task.byHelper && <b>Helper: </b>}
                {taskWords(task.kind, nameOf(task.groups))} <span className="text-ink-2">{nameOfBatch(batchId)}</span>
              </span>
              {onMove === null ? null : heatActOf(task.kind) && batchId ? (
                <button
                  type="button"
                  className="btn btn-plain no-print"
                  aria-label={`${heatDoneWords(heatActOf(task.kind)?.isIn ?? false)}: ${nameOf(task.groups)}`}
                  onClick={() => void markHeat(day, task)}
                >
                  {heatDoneWords(heatActOf(task.kind)?.isIn ?? false)}
                </button>
              ) : task.kind === 'load' && batchId && !day.running.has(batchId) ? (
                <button type="button" className="btn btn-plain no-print" onClick={() => onMove(batchId)}>
                  When?
                </button>
              ) : (
                <span />
              )}
            </li>
          )
        })}
      </ol>
    </section>
  )
}
