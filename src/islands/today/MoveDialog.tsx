import { format } from 'date-fns/format'
import { useState } from 'react'
import type { Batch } from '../../core/shop/batch'
import { SheetDialog } from '../SheetDialog'
import { setWhen, WHEN_IT_FITS, type WhenOfBatch } from './move-batch'
import { dateOf } from './work-windows'

type Choice = 'fits' | 'from' | 'exactly' | 'later'
const CHOICES: readonly (readonly [Choice, string])[] = [
  ['fits', 'When it fits best'],
  ['from', 'Not before'],
  ['exactly', 'Load at'],
  ['later', 'Not these days'],
]

const choiceOf = ({ from, exactly, later }: WhenOfBatch): Choice =>
  later ? 'later' : from === null ? 'fits' : exactly ? 'exactly' : 'from'

/** A time of a day as the browser’s own fields have it; null where one is not filled in. */
const instantOf = (date: string, time: string): string | null => {
  const at = new Date(`${date}T${time}`)
  return Number.isNaN(at.getTime()) ? null : at.toISOString()
}

/** When a batch is to be hardened, and by when it must be done. */
export function MoveDialog({ batch, origin, onClose }: { batch: Batch; origin: Date; onClose: () => void }) {
  const now = batch.day ?? WHEN_IT_FITS
  const [choice, setChoice] = useState(choiceOf(now))
  const start = now.from ? new Date(now.from) : origin
  const [date, setDate] = useState(dateOf(start))
  const [time, setTime] = useState(now.from ? format(start, 'HH:mm') : '09:00')
  const [doneDate, setDoneDate] = useState(now.doneBy ? dateOf(new Date(now.doneBy)) : '')
  const [doneTime, setDoneTime] = useState(now.doneBy ? format(new Date(now.doneBy), 'HH:mm') : '18:00')
  const needsTime = choice === 'from' || choice === 'exactly'
  const from = needsTime ? instantOf(date, time) : null
  const keep = async () => {
    const saved = await setWhen(batch, {
      from,
      exactly: choice === 'exactly',
      later: choice === 'later',
      doneBy: doneDate === '' ? null : instantOf(doneDate, doneTime),
    })
    if (saved.saved) onClose()
  }
  return (
    <SheetDialog title={`When is ${batch.name} hardened?`} open onOpen={open => !open && onClose()}>
      <fieldset className="my-3">
        <legend className="sr-only">When</legend>
        {CHOICES.map(([value, text]) => (
          <label key={value} className="flex min-h-touch items-center gap-2">
            <input type="radio" name="when" checked={choice === value} onChange={() => setChoice(value)} />
            {text}
          </label>
        ))}
      </fieldset>
      {needsTime && <DayAndTime name="Start" date={date} time={time} onDate={setDate} onTime={setTime} />}
      <DayAndTime name="Done by" date={doneDate} time={doneTime} onDate={setDoneDate} onTime={setDoneTime} />
      <p className="my-2 text-small text-ink-2">Leave the day of “Done by” empty where nothing is due.</p>
      <div className="mt-4 flex justify-end gap-2">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-ember"
          disabled={needsTime && from === null}
          onClick={() => void keep()}
        >
          Apply
        </button>
      </div>
    </SheetDialog>
  )
}

interface DayAndTimeProps {
  readonly name: string
  readonly date: string
  readonly time: string
  readonly onDate: (date: string) => void
  readonly onTime: (time: string) => void
}

const DayAndTime = ({ name, date, time, onDate, onTime }: DayAndTimeProps) => (
  <div className="mb-2 grid grid-cols-[80px_1fr_120px] items-center gap-2">
    <span>{name}</span>
    <input
      type="date"
      aria-label={`${name}, day`}
      className="field"
      value={date}
      onChange={e => onDate(e.target.value)}
    />
    <input
      type="time"
      aria-label={`${name}, time`}
      className="field"
      value={time}
      step={300}
      onChange={e => onTime(e.target.value)}
    />
  </div>
)
