import { memo, useDeferredValue, useState } from 'react'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { dayOfMinute } from '../../core/units/time'
import { onlyShows } from '../../store/shared-role'
import { DayBoard } from '../../ui/drawings/day/DayBoard'
import { Problems } from '../../ui/Problems'
import { ScrollRegion } from '../../ui/ScrollRegion'
import { useSay } from '../../ui/Units'
import { whyNotWords } from '../../words/day'
import { useShopNow } from '../shop-context'
import { DayActs } from './DayActs'
import { DayAnswers } from './DayAnswers'
import { DayOut } from './DayOut'
import { DayTabs } from './DayTabs'
import { DayWent } from './DayWent'
import { boardOf, clockAt, daysWithTasks, type NameOf, namesOf } from './day-view'
import { HoursDialog } from './HoursDialog'
import { LaterBatches } from './LaterBatches'
import { MoveDialog } from './MoveDialog'
import { MustNotWait } from './MustNotWait'
import { moveBatch, startBatchAt } from './move-batch'
import { type Day, type DayPlan, useDay } from './use-day'
import { WouldHelp } from './WouldHelp'

/** While the day is planned: as tall as what comes, so that nothing below jumps. */
const DayWaits = () => <p className="min-h-[520px] py-2.5 text-ink-2">Planning the day …</p>

interface Props {
  readonly batches: readonly Batch[]
  readonly runs: readonly Run[]
  readonly measured: ReadonlySet<string>
}

/** The day: when all is done, what hands do when, what must not wait, and what would help. */
export default function DayPart(props: Props) {
  const day = useDay(props.batches, props.runs, props.measured)
  // A plan that comes is drawn bit by bit, between what hands do on the page.
  return <ShownDay {...props} day={useDeferredValue(day)} />
}

const ShownDay = memo(function ShownDay({ batches, runs, measured, day }: Props & { readonly day: Day }) {
  const shop = useShopNow()
  const say = useSay()
  // On a screen that only shows nothing is moved, and nothing stands that would.
  const isFixed = onlyShows()
  const [chosen, setChosen] = useState<number | null>(null)
  const [moving, setMoving] = useState<string | null>(null)
  const { answer } = day
  const plan = answer?.plan ?? null
  // A batch may have nothing left to do, though it was not measured.
  const isEmpty = day.batches.length === 0 || (answer !== null && plan === null && answer.why === null)
  const later = batches.filter(batch => batch.day?.later && !measured.has(batch.id))
  const nameOf = answer ? namesOf(answer, batches) : () => ''
  const days = plan ? daysWithTasks(plan, day.nowMin) : []
  const firstBusy = days.find(index => plan?.tasks.some(task => dayOfMinute(task.startMin) === index))
  const index = chosen !== null && days.includes(chosen) ? chosen : (firstBusy ?? days[0] ?? 0)
  const board = plan && boardOf({ plan, day, shop, say, nameOf, index })
  const movingBatch = batches.find(batch => batch.id === moving)
  return (
    <section aria-label="The day" className="mb-6">
      {isEmpty && <p className="py-2.5 text-ink-2">Nothing is to be hardened or tempered.</p>}
      {!isEmpty && !answer && day.problems.length === 0 && <DayWaits />}
      {day.problems.length > 0 && <Problems of={day.problems} />}
      {later.length > 0 && !isFixed && (
        <LaterBatches
          batches={later}
          board={board}
          clock={min => clockAt(day.origin, min)}
          onDrop={(batch, atMin) => void startBatchAt(batch, day, atMin)}
          onOpen={setMoving}
        />
      )}
      {day.leftOut > 0 && (
        <p className="mb-2 text-ink-2">
          {day.leftOut} more {day.leftOut === 1 ? 'batch waits' : 'batches wait'}: the newest twenty are planned.
        </p>
      )}
      {answer?.why && (
        <p role="alert" className="mb-3 border-l-3 border-bad pl-3">
          {whyNotWords(answer.why, say, id => nameOf([id]))}{' '}
          {plan && 'Below is the nearest plan that can be, without that limit.'}
        </p>
      )}
      {plan && <DayAnswers plan={plan} day={day} nameOf={nameOf} />}
      {!isEmpty && answer && (
        <DayTabs days={days} chosen={index} origin={day.origin} onChoose={setChosen}>
          {!isFixed && <DayTools plan={plan} day={day} nameOf={nameOf} />}
        </DayTabs>
      )}
      {plan && board && (
        <ScrollRegion label="The day’s drawing" className="on-soot overflow-x-auto bg-soot py-2 print:hidden">
          <DayBoard
            {...board}
            onMove={isFixed ? null : (batchId, byMin) => void moveBatch(batches, plan, day, batchId, byMin)}
            onOpen={setMoving}
          />
        </ScrollRegion>
      )}
      <div className="no-print mt-5 grid gap-x-10 gap-y-6 md:grid-cols-2">
        <MustNotWait day={day} batches={batches} runs={runs} measured={measured} />
        <WouldHelp day={day} />
      </div>
      {plan && <DayActs plan={plan} day={day} nameOf={nameOf} index={index} onMove={isFixed ? null : setMoving} />}
      <DayWent day={day} batches={batches} runs={runs} />
      {movingBatch && (
        <MoveDialog key={movingBatch.id} batch={movingBatch} origin={day.origin} onClose={() => setMoving(null)} />
      )}
    </section>
  )
})

/** Working hours, and ways of the day out of the page. */
const DayTools = ({ plan, day, nameOf }: { plan: DayPlan | null; day: Day; nameOf: NameOf }) => (
  <>
    <HoursDialog />
    {plan && <DayOut plan={plan} day={day} nameOf={nameOf} />}
  </>
)
