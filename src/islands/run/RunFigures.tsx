import { useState } from 'react'
import type { RunState } from '../../core/run/run-state'
import type { Batch } from '../../core/shop/batch'
import { formatNumber, formatQuantity, parseQuantity, shownUnitLabel } from '../../core/units/quantity'
import { figureColour } from '../../ui/heatline/colour'
import { useSay } from '../../ui/Units'
import { clockText } from '../../words/clock-text'
import { problemWords } from '../../words/problems'
import { stepWords } from '../../words/run'
import { wantedC } from './use-confirm'
import type { RunOven } from './use-run-oven'

const SHOWN_WORDS = {
  controller: 'Oven shows',
  practice: 'Practice oven shows',
  model: 'Oven should show about',
  nobody: 'Read your oven’s display',
} as const

/** Shows the oven temperature, the largest thing on the screen; and when it will be where the step wants it. `onShows`: takes what the maker's display shows; null where nothing is typed. */
export function OvenFigure({ oven, onShows }: { oven: RunOven; onShows: ((c: number) => void) | null }) {
  const say = useSay()
  const { known, shownBy, state, waitS } = oven
  const { step } = state
  const c = known.shownC
  const other = say.system === 'metric' ? 'imperial' : 'metric'
  const wanted = step && wantedC(step)
  return (
    <div className="min-w-0">
      <p className="text-large text-bone-2">{SHOWN_WORDS[shownBy]}</p>
      <div className="flex items-end gap-x-6">
        <p
          className="figure text-[clamp(84px,10vw,124px)] leading-[0.95]"
          data-figure="oven"
          style={c === null ? undefined : { color: figureColour(c) }}
        >
          {c === null ? '—' : formatNumber(c, 'temperature', say.system)}
        </p>
        <div className="pb-2 text-title leading-snug">
          <p>
            {shownUnitLabel('temperature', say.system)}{' '}
            <span className="text-bone-2">{c === null ? '' : formatQuantity(c, 'temperature', other)}</span>
          </p>
          <p className="text-bone-2">{step && step.ovenSetC > 0 ? `set ${say.keyed(step.ovenSetC)}` : 'oven off'}</p>
          {state.oven && wanted !== null && (
            <p>
              {state.oven === 'hot' ? 'too hot, down to' : 'at'} {say.t(wanted)}
              {waitS === null ? '' : ` in ${clockText(waitS)}`}
            </p>
          )}
        </div>
      </div>
      {shownBy === 'model' && onShows && <ItShows onShows={onShows} />}
    </div>
  )
}

/** Takes a typed reading of the maker's own display: the model follows it from then on. */
function ItShows({ onShows }: { onShows: (c: number) => void }) {
  const say = useSay()
  const [text, setText] = useState('')
  const [trouble, setTrouble] = useState<string | null>(null)
  const take = () => {
    const parsed = parseQuantity(text, 'temperature', say.system)
    if (!parsed.ok) return setTrouble(parsed.problems.map(one => problemWords(one, say)).join(' '))
    setTrouble(null)
    setText('')
    onShows(parsed.value)
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
  }
  return (
    <form
      className="mt-1 flex flex-wrap items-center gap-2 text-lead text-bone-2"
      onSubmit={event => {
        event.preventDefault()
        take()
      }}
    >
      <label className="flex items-center gap-2">
        Yours shows
        <input
          className="min-h-touch w-28 border-2 border-soot-rule bg-soot px-2 text-large text-bone"
          inputMode="decimal"
          value={text}
          onChange={event => setText(event.target.value)}
        />
      </label>
      <button
        type="submit"
        className="min-h-touch border-2 border-soot-rule px-3 text-bone"
        disabled={text.trim() === ''}
      >
        Go by that
      </button>
      {trouble && <span role="alert">{trouble}</span>}
    </form>
  )
}

/** Returns the name of what the time beside it counts down to. */
function whatIsAwaited({ remainingS, ready, step, oven }: RunState): string {
  if (remainingS !== null) return remainingS <= 0 ? 'Late by' : 'Time left'
  if (!step?.wait) return 'When you are ready'
  if (oven === 'hot') return 'The oven is too hot. Cool enough in about'
  if (ready) return 'The oven should be there'
  return oven === 'cold' ? 'The oven is there in about' : 'The blade is not at heat yet'
}

/** How long until the one action, and what comes after it. */
export function TimeLeft({ oven: { state, waitS }, batch }: { oven: RunOven; batch: Batch }) {
  const say = useSay()
  const { remainingS, ready, next } = state
  const untilReady = waitS === null ? '…' : clockText(waitS)
  const time = remainingS !== null ? clockText(Math.abs(remainingS)) : ready ? 'now' : untilReady
  return (
    <div className="min-w-0">
      <p className="text-large text-bone-2">{whatIsAwaited(state)}</p>
      <p className={`figure text-[clamp(60px,9vw,112px)] leading-[0.95] ${ready ? 'text-hot' : ''}`} data-figure="left">
        {time}
      </p>
      <p className="pt-2 text-title">
        <span className="text-bone-2">then</span>{' '}
        {next ? stepWords(next, batch, say.system).title : 'the run is finished'}
      </p>
    </div>
  )
}
