import { useState } from 'react'
import { liveEvents } from '../../core/run/live-events'
import { correctedEvents, momentWithin, roomFor } from '../../core/run/record'
import { runStateAt } from '../../core/run/run-state'
import type { Batch } from '../../core/shop/batch'
import type { Run, RunEvent } from '../../core/shop/run'
import { changeRun } from '../../store/runs'
import { useSay } from '../../ui/Units'
import { clockText, parseClock } from '../../words/clock-text'
import { eventText } from '../../words/run-log'

/** Everything that was pressed and said in a run, in order; a press at the wrong time is corrected where it stands. */
export function RunLog({ run, batch }: { run: Run; batch: Batch }) {
  const say = useSay()
  const [editing, setEditing] = useState<string | null>(null)
  const { confirmed } = runStateAt(run, 0)
  const steps = new Map(confirmed.map(({ event, step }) => [event.id, step]))
  const shown = liveEvents(run.events)
    .filter(event => event.kind !== 'confirm' || steps.has(event.id))
    .filter(event => event.kind !== 'shows' || event.by === 'hand')
    .sort((a, b) => a.atS - b.atS)
  return (
    <ol className="text-lead">
      {shown.map(event => (
        <li
          key={event.id}
          className="grid min-h-touch grid-cols-[110px_1fr_auto] items-center border-t border-soot-rule"
        >
          <span className="text-bone-2">{clockText(event.atS)}</span>
          <span>
            {eventText(event, steps.get(event.id) ?? null, batch, say)}
            {event.on !== undefined && <span className="text-bone-2"> on {event.on}</span>}
            {event.pressedS === undefined ? '' : ` (corrected; pressed at ${clockText(event.pressedS)})`}
          </span>
          {event.kind === 'confirm' &&
            run.mode === 'shop' &&
            (editing === event.id ? (
              <Correction run={run} event={event} onDone={() => setEditing(null)} />
            ) : (
              <button
                type="button"
                className="min-h-touch px-3 text-bone-2 underline"
                onClick={() => setEditing(event.id)}
              >
                Correct
              </button>
            ))}
        </li>
      ))}
    </ol>
  )
}

/** Another moment for a press, between the presses around it. */
function Correction({ run, event, onDone }: { run: Run; event: RunEvent; onDone: () => void }) {
  const [text, setText] = useState(clockText(event.atS))
  const [trouble, setTrouble] = useState<string | null>(null)
  const take = () => {
    const toldS = parseClock(text)
    const room = roomFor(run, event.id) ?? { fromS: 0, toS: Number.POSITIVE_INFINITY }
    if (toldS === null) return setTrouble('Type a time such as 1:05:30, counted from the start of the run.')
    const atS = momentWithin(room, toldS)
    if (atS === null)
      return setTrouble(
        `It lies between the steps around it: from ${clockText(room.fromS)}${Number.isFinite(room.toS) ? ` to ${clockText(room.toS)}` : ''}.`,
      )
    void changeRun(run.id, stored => ({ ...stored, events: [...correctedEvents(stored.events, event.id, atS)] }))
    onDone()
  }
  return (
    <form
      className="flex flex-wrap items-center justify-end gap-2"
      onSubmit={submitted => {
        submitted.preventDefault()
        take()
      }}
    >
      {trouble && (
        <span role="alert" className="text-[#ffb8a3]">
          {trouble}
        </span>
      )}
      <input
        aria-label="It was at"
        className="min-h-touch w-28 border-2 border-soot-rule bg-soot px-2 text-bone"
        value={text}
        onChange={changed => setText(changed.target.value)}
      />
      <button type="submit" className="min-h-touch border-2 border-soot-rule px-3">
        Keep
      </button>
    </form>
  )
}
