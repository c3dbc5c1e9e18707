import { isChecked } from '../../core/hardness/tester'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { daysBetween } from '../../core/units/time'
import { usePickedFolder } from '../../store/back-up-folder'
import { useLastSaved } from '../../store/keeping'
import { ago } from '../../ui/dates'
import { useSay } from '../../ui/Units'
import { coolantLeftWords, ovenAstrayWords, urgentWords } from '../../words/day'
import { marksOfBlades } from '../../words/lists'
import { saveEverything } from '../save-everything'
import { useShopNow } from '../shop-context'
import { dayAndClock } from './day-view'
import type { Day } from './use-day'

interface Props {
  readonly day: Day
  readonly batches: readonly Batch[]
  readonly runs: readonly Run[]
  readonly measured: ReadonlySet<string>
}

/** A log that grows goes into a file at least so often; where that was to happen by itself, sooner. Common practice, no published source. */
const SAVE_EVERY_DAYS = 14
const BACK_UP_DAYS = 2
const daysSince = (instant: string): number => daysBetween(Date.parse(instant), Date.now())

/** Shown of the batches that wait for their readings. */
const MOST_UNREAD = 3

/** Lists what must not wait, most urgent first; each with its one action. */
export function MustNotWait({ day, batches, runs, measured }: Props) {
  const shop = useShopNow()
  const say = useSay()
  const { origin, nowMin, astray } = day
  const unread = batches.filter(
    batch => !measured.has(batch.id) && runs.some(run => run.endedAt !== null && run.batchIds.includes(batch.id)),
  )
  const saved = useLastSaved()
  const mostDays = usePickedFolder() ? BACK_UP_DAYS : SAVE_EVERY_DAYS
  const isOverdue =
    !shop.isDemo && runs.length > 0 && saved !== undefined && (saved === null || daysSince(saved) > mostDays)
  const inCold = day.urgent.find(one => one.code === 'in-cold')?.batchId
  // What is in the cold already is provided for; what is still to come into it is not.
  const ice = inCold === undefined ? null : (day.answer?.plan?.coolant ?? null)
  const needsTester = unread.length > 0 && !isChecked(shop.tester, new Date().toISOString())
  return (
    <section aria-label="What must not wait">
      <h2 className="border-b border-rule-strong pb-1 text-lead">What must not wait</h2>
      <ul>
        {day.urgent.map(one => {
          const batch = batches.find(({ id }) => id === one.batchId)
          const leftMin = one.dueMin - nowMin
          const late = leftMin < 0
          return (
            <Row
              key={`${one.batchId} ${one.code} ${one.round}`}
              when={late ? (one.loses ? 'Now' : 'Due') : say.minutes(Math.round(leftMin))}
              alarm={one.loses && leftMin < 60}
              href={`/run/${one.batchId}`}
              act="Open the run"
            >
              {urgentWords(one.code, batch ? marksOfBlades(batch, one.bladeIds) : '', dayAndClock(origin, one.dueMin))}
            </Row>
          )
        })}
        {unread.slice(0, MOST_UNREAD).map(batch => (
          <Row key={batch.id} when="Today" href={`/batch/${batch.id}/measure`} act="Measure">
            {batch.name} is tempered and not measured
          </Row>
        ))}
        {ice && (
          <Row
            when={say.minutes(Math.max(0, Math.round(ice.byMin - nowMin)))}
            href={`/batch/${inCold}/cold`}
            act="Cold"
          >
            {coolantLeftWords(ice, dayAndClock(origin, ice.byMin), say)}
          </Row>
        )}
        {astray.map(({ oven, byK, isHand }) => (
          <Row key={oven.id} when="First" href={`/oven/${oven.id}`} act="Its correction">
            {ovenAstrayWords(oven.name, byK, isHand, say)}
          </Row>
        ))}
        {needsTester && (
          <Row when="First" href="/workshop#tester" act="Check it">
            The tester was not checked on its block today
          </Row>
        )}
        {isOverdue && (
          <li className="grid min-h-touch grid-cols-[64px_minmax(0,1fr)_auto] items-center gap-x-3 border-b border-rule py-1.5">
            <span className="font-semibold">Soon</span>
            <span>
              {saved ? `The log was last saved to a file ${ago(saved)}` : 'The log was never saved to a file'}
            </span>
            <button type="button" className="link font-medium text-ember" onClick={() => void saveEverything()}>
              Save it
            </button>
          </li>
        )}
      </ul>
      {day.urgent.length === 0 && unread.length === 0 && astray.length === 0 && !isOverdue && (
        <p className="py-2.5 text-ink-2">Nothing: no blade stands hard and untempered.</p>
      )}
    </section>
  )
}

interface RowProps {
  readonly when: string
  readonly alarm?: boolean
  readonly href: string
  readonly act: string
  readonly children: React.ReactNode
}

const Row = ({ when, alarm, href, act, children }: RowProps) => (
  <li className="border-b border-rule">
    <a href={href} className="grid min-h-touch grid-cols-[64px_minmax(0,1fr)_auto] items-center gap-x-3 py-1.5">
      <span className={`font-semibold ${alarm ? 'text-bad' : ''}`}>{when}</span>
      <span>{children}</span>
      <span className="link font-medium text-ember">{act}</span>
    </a>
  </li>
)
