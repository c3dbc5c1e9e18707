import CalendarDays from 'lucide-react/icons/calendar-days'
import Printer from 'lucide-react/icons/printer'
import { download } from '../download'
import type { NameOf } from './day-view'
import type { Day, DayPlan } from './use-day'
import { dateOf } from './work-windows'

interface Props {
  readonly plan: DayPlan
  readonly day: Day
  readonly nameOf: NameOf
}

/** The plan on its way out: into a calendar, onto paper, as data. */
export function DayOut({ plan, day, nameOf }: Props) {
  const name = `day-${dateOf(day.origin)}`
  const toCalendar = async () => {
    const { dayCalendar } = await import('./day-calendar')
    download(`${name}.ics`, 'text/calendar', dayCalendar(plan, day, nameOf, new Date()))
  }
  const asData = () => {
    const told = { from: day.origin.toISOString(), plan, groups: day.answer?.groups ?? [] }
    download(`${name}.json`, 'application/json', JSON.stringify(told, null, 1))
  }
  return (
    <>
      <button type="button" className="btn" onClick={() => void toCalendar()}>
        <CalendarDays size={17} aria-hidden="true" /> Into a calendar
      </button>
      <button type="button" className="btn" onClick={() => print()}>
        <Printer size={17} aria-hidden="true" /> Print the day
      </button>
      <button type="button" className="btn btn-plain" onClick={asData}>
        As data
      </button>
    </>
  )
}
