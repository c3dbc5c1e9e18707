import { Problems } from '../../ui/Problems'
import { useSay } from '../../ui/Units'
import { helpCost, helpWords } from '../../words/day'
import { listOf } from '../../words/lists'
import { AddBlades } from './AddBlades'
import { clockAt, dayAndClock } from './day-view'
import type { Day } from './use-day'

/** Lists changes that would bring the end nearer, each planned in full. */
export function WouldHelp({ day }: { day: Day }) {
  const say = useSay()
  const nameOf = (ids: readonly string[]) =>
    listOf(ids.map(id => day.batches.find(batch => batch.id === id)?.name ?? ''))
  return (
    <section aria-label="What would help">
      <h2 className="border-b border-rule-strong pb-1 text-lead">What would help</h2>
      <ul>
        {day.helps.map(help => (
          <li
            key={`${help.code} ${help.batchIds.join()}`}
            className="grid min-h-touch grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule py-1.5"
          >
            <span>
              {helpWords(help, { who: nameOf(help.batchIds), until: clockAt(day.origin, help.untilMin) }, say)}{' '}
              <span className="text-ink-2">{helpCost(help)}</span>
            </span>
            <span className="text-right">
              <strong>
                {help.savedMin === null ? 'then it can be done' : `done ${say.minutes(help.savedMin)} sooner`}
              </strong>
              <br />
              <span className="text-small text-ink-2">at {dayAndClock(day.origin, help.finishMin)}</span>
            </span>
          </li>
        ))}
      </ul>
      {day.helpProblems.length > 0 ? (
        <Problems of={day.helpProblems} />
      ) : (
        day.helps.length === 0 && (
          <p className="py-2.5 text-ink-2">
            {day.searching ? 'Being worked out …' : 'Neither more hands nor more hours would end it sooner.'}
          </p>
        )
      )}
      <AddBlades day={day} />
    </section>
  )
}
