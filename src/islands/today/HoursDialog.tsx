import { addDays } from 'date-fns/addDays'
import Clock from 'lucide-react/icons/clock'
import { useState } from 'react'
import { type Hours, hoursOn, NEVER, type Presence, USUAL_HOURS } from '../../core/shop/hours'
import { saveShop } from '../../store/records'
import { asMinutes, asTime } from '../../ui/time-of-day'
import { SheetDialog } from '../SheetDialog'
import { useShopNow } from '../shop-context'
import { dateOf, weekdayOf } from './work-windows'

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const
type Span = readonly [number, number]

/** An end that is not after its start is on the next day. */
const spanOf = (from: string, to: string): Span => {
  const [start, end] = [asMinutes(from), asMinutes(to)]
  return [start, end > start ? end : end + 1440]
}

const saveHours = (change: (hours: Hours) => Hours) =>
  saveShop(shop => ({ ...shop, hours: change(shop.hours ?? USUAL_HOURS) as typeof shop.hours }), 'Working hours')

/** When hands are there: today and tomorrow by themselves, and each day of the week. */
export function HoursDialog() {
  const [open, setOpen] = useState(false)
  const hours = useShopNow().hours ?? USUAL_HOURS
  return (
    <SheetDialog
      title="When are you in the shop?"
      open={open}
      onOpen={setOpen}
      trigger={
        <button type="button" className="btn">
          <Clock size={17} aria-hidden="true" /> Working hours
        </button>
      }
    >
      <p className="my-2 text-small text-ink-2">
        Hands load, pull, chill and temper in these hours. Holds go on by themselves; a time past midnight is on the
        next day.
      </p>
      <PresenceRows presence={hours} onChange={change => void saveHours(now => ({ ...now, ...change(now) }))} />
      <details className="mt-4" open={hours.helper !== undefined}>
        <summary className="min-h-touch py-2 font-medium">A helper’s hours</summary>
        <p className="text-small text-ink-2">
          While a helper is there, two things can be done at once: one of you draws a packet out of the cold while the
          other loads. A pull that the plates plan for two takes you both.
        </p>
        <PresenceRows
          presence={hours.helper ?? NEVER}
          of="helper"
          onChange={change => void saveHours(now => ({ ...now, helper: change(now.helper ?? NEVER) }) as Hours)}
        />
      </details>
      <label className="mt-4 flex min-h-touch items-center gap-2">
        <input
          type="checkbox"
          checked={hours.heatsAlone}
          onChange={event => {
            const heatsAlone = event.target.checked
            void saveHours(now => ({ ...now, heatsAlone }))
          }}
        />
        The oven may heat up before anyone is there
      </label>
      <p className="text-small text-ink-2">
        Only where your local rules, your insurer and the oven’s maker let an oven run unattended, with nothing near it
        that burns and an over-temperature cut-out that was tried. A soak is never left alone here.
      </p>
    </SheetDialog>
  )
}

interface PresenceProps {
  readonly presence: Presence
  /** Whose, where they are not your own. */
  readonly of?: string
  readonly onChange: (change: (now: Presence) => Presence) => void
}

/** One person's hours: today, tomorrow, and each day of the week. */
function PresenceRows({ presence, of, onChange }: PresenceProps) {
  const today = new Date()
  const named = (day: string) => (of ? `${day}, ${of}` : day)
  return (
    <>
      {[0, 1].map(ahead => {
        const day = addDays(today, ahead)
        const date = dateOf(day)
        return (
          <DayRow
            key={date}
            name={named(ahead === 0 ? 'Only today' : 'Only tomorrow')}
            spans={hoursOn(presence, date, weekdayOf(day))}
            onChange={spans =>
              onChange(now => ({
                ...now,
                // Days that are over no longer matter.
                days: {
                  ...Object.fromEntries(Object.entries(now.days ?? {}).filter(([one]) => one >= dateOf(today))),
                  [date]: spans,
                },
              }))
            }
          />
        )
      })}
      <h3 className="mt-4 mb-1">Each week</h3>
      {WEEKDAYS.map((name, i) => (
        <DayRow
          key={name}
          name={named(name)}
          spans={presence.week[i] ?? []}
          onChange={spans => onChange(now => ({ ...now, week: now.week.map((own, j) => (j === i ? spans : own)) }))}
        />
      ))}
    </>
  )
}

interface RowProps {
  readonly name: string
  readonly spans: readonly Span[]
  readonly onChange: (spans: readonly Span[]) => void
}

const USUAL_SPAN: Span = [480, 1080]

function DayRow({ name, spans, onChange }: RowProps) {
  const [from, to] = spans[0] ?? USUAL_SPAN
  const works = spans.length > 0
  const change = (start: string, end: string) => {
    if (start !== '' && end !== '') onChange([spanOf(start, end), ...spans.slice(1)])
  }
  return (
    <div className="grid min-h-touch grid-cols-[minmax(110px,1fr)_minmax(0,110px)_minmax(0,110px)] items-center gap-2">
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={works} onChange={e => onChange(e.target.checked ? [USUAL_SPAN] : [])} />
        {name}
      </label>
      {works ? (
        <>
          <input
            type="time"
            className="field"
            aria-label={`${name}, from`}
            value={asTime(from)}
            onChange={e => change(e.target.value, asTime(to))}
          />
          <input
            type="time"
            className="field"
            aria-label={`${name}, to`}
            value={asTime(to)}
            onChange={e => change(asTime(from), e.target.value)}
          />
        </>
      ) : (
        <span className="col-span-2 text-ink-2">not there</span>
      )}
    </div>
  )
}
