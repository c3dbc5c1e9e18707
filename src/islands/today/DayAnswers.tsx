import { type ReactNode, useEffect, useMemo, useState } from 'react'
import { useSay } from '../../ui/Units'
import { coolantWords, movedWords, powerWords, taskWords } from '../../words/day'
import { useShopNow } from '../shop-context'
import { actsOf, dayAndClock, type NameOf } from './day-view'
import { firstPlan } from './first-plan'
import type { Day, DayPlan } from './use-day'
import { SEARCH_STEPS } from './use-search'
import { dateOf } from './work-windows'

interface Props {
  readonly plan: DayPlan
  readonly day: Day
  readonly nameOf: NameOf
}

/** How much later all is done than the day's first plan said, min; 0 while a better plan is still looked for. */
function useMovedMin(plan: DayPlan, day: Day): number {
  const [moved, setMoved] = useState(0)
  const { searching, origin, batches } = day
  const ids = batches.map(batch => batch.id).join()
  const acts = useMemo(() => actsOf(plan, day.answer?.groups ?? []), [plan, day.answer])
  useEffect(() => {
    if (searching) return
    const first = firstPlan(dateOf(origin), ids.split(','), { finishMin: plan.finishMin, acts })
    setMoved(plan.finishMin - first.finishMin)
  }, [searching, origin, ids, plan.finishMin, acts])
  return moved
}

/** The figures one opens the day for. */
export function DayAnswers({ plan, day, nameOf }: Props) {
  const say = useSay()
  const shop = useShopNow()
  const at = (min: number) => dayAndClock(day.origin, min)
  const next = plan.tasks.find(task => task.endMin > day.nowMin)
  const lane = plan.lanes.find(one => one.onMin !== null && one.curve.some(([, c]) => c > 500))
  const { hands, coolant, foil, power } = plan
  const { latestStart } = day
  const movedMin = useMovedMin(plan, day)
  return (
    <dl className="grid grid-cols-2 gap-x-6 gap-y-3 border-y border-rule py-3 sm:grid-cols-3 lg:grid-flow-col lg:auto-cols-fr lg:grid-cols-none">
      {next && (
        <Answer
          name="Next"
          isFirst
          figure={at(Math.max(next.startMin, day.nowMin))}
          note={taskWords(next.kind, nameOf(next.groups))}
        />
      )}
      {lane && lane.onMin !== null && lane.onMin >= day.nowMin - 5 && (
        <Answer
          name="Oven on"
          figure={at(lane.onMin)}
          note={
            latestStart
              ? `load by ${at(latestStart.startMin)} at the latest to be done by ${at(latestStart.byMin)}`
              : (shop.ovens.find(oven => oven.id === lane.ovenId)?.name ?? '')
          }
        />
      )}
      <Answer
        name="Done at"
        figure={at(plan.finishMin)}
        note={
          movedMin !== 0
            ? movedWords(movedMin, say)
            : plan.proven
              ? 'fastest order, proven'
              : `no plan ends before ${at(plan.lowerBoundMin)}`
        }
      >
        {day.searching && (
          <span className="no-print flex flex-wrap items-center gap-x-2">
            looking for a sooner one, {day.searched} of {SEARCH_STEPS}
            <button type="button" className="link min-h-touch font-medium" onClick={day.stopSearch}>
              This one will do
            </button>
          </span>
        )}
      </Answer>
      {hands && (
        <Answer
          name="Your hands"
          figure={say.minutes(hands.totalMin)}
          note={`between ${at(hands.fromMin)} and ${at(hands.toMin)}${hands.helperMin > 0 ? `, and ${say.minutes(hands.helperMin)} a helper’s` : ''}`}
        />
      )}
      {coolant && (
        <Answer
          name={coolant.medium === 'dry-ice' ? 'Dry ice' : 'Liquid nitrogen'}
          figure={coolant.medium === 'dry-ice' ? say.mass(coolant.amount) : say.litres(coolant.amount)}
          note={coolantWords(coolant, { by: at(coolant.byMin), until: at(coolant.lastsMin) }, say)}
        />
      )}
      {power.cost !== null && power.cost > 0 && (
        <Answer
          name="Electricity"
          figure={say.money(power.cost)}
          note={powerWords(power, shop.prices?.cheap !== undefined)}
        />
      )}
      {foil && foil.shortM > 0 && (
        <Answer
          name="Foil short"
          figure={say.metres(foil.shortM)}
          note={`${say.metres(foil.neededM)} to cut, ${say.metres(foil.leftM ?? 0)} left on the roll`}
        />
      )}
    </dl>
  )
}

interface AnswerProps {
  readonly name: string
  readonly figure: string
  readonly note: string
  /** Whether one opens the day for it: it stands over the others on a phone. */
  readonly isFirst?: boolean
  readonly children?: ReactNode
}

const Answer = ({ name, figure, note, isFirst, children }: AnswerProps) => (
  <div className={`flex flex-col ${isFirst ? 'max-sm:col-span-2' : ''}`}>
    <dt className="text-small text-ink-2">{name}</dt>
    <dd className={`figure my-1 text-page ${isFirst ? 'max-sm:text-figure-large' : ''}`}>{figure}</dd>
    <dd className={`text-small text-ink-2 ${isFirst ? 'max-sm:text-lead max-sm:text-ink' : ''}`}>
      {note}
      {children}
    </dd>
  </div>
)
