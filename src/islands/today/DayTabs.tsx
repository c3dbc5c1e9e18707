import { addDays } from 'date-fns/addDays'
import { format } from 'date-fns/format'
import type { ReactNode } from 'react'

interface Props {
  readonly days: readonly number[]
  readonly chosen: number
  readonly origin: Date
  readonly onChoose: (index: number) => void
  readonly children: ReactNode
}

const nameOf = (index: number, origin: Date): string =>
  index === 0 ? 'Today' : index === 1 ? 'Tomorrow' : format(addDays(origin, index), 'EEEE')

/** Which day is drawn, and what can be done with the plan. */
export const DayTabs = ({ days, chosen, origin, onChoose, children }: Props) => (
  <div className="no-print my-3 flex flex-wrap items-center gap-2">
    {days.length > 1 && (
      <fieldset className="flex flex-wrap gap-1">
        <legend className="sr-only">Day that is drawn</legend>
        {days.map(index => (
          <button
            key={index}
            type="button"
            aria-pressed={index === chosen}
            className={`btn ${index === chosen ? 'border-ember font-semibold' : ''}`}
            onClick={() => onChoose(index)}
          >
            {nameOf(index, origin)}
          </button>
        ))}
      </fieldset>
    )}
    <span className="grow" />
    {children}
  </div>
)
