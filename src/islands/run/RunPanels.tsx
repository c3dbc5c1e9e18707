import type { RunState } from '../../core/job/run-state'
import type { Workshop } from '../../core/shop/workshop'
import { formatNumber, formatQuantity, shownUnitLabel } from '../../core/units/quantity'
import { figureColour } from '../../ui/heatline/colour'
import { clockText } from '../../words/clock-text'

/** The present temperature, the largest thing on the screen, with both scales and what it is set to. */
export function Temperature({
  shownC,
  setC,
  targetC,
  system,
}: {
  shownC: number | null
  setC: number
  targetC: number | null
  system: Workshop['units']
}) {
  const c = shownC ?? setC
  const set =
    setC > 0
      ? `set ${formatQuantity(setC, 'temperature', 'metric')} / ${formatQuantity(setC, 'temperature', 'imperial')}`
      : 'oven off'
  const other = system === 'metric' ? 'imperial' : 'metric'
  return (
    <div>
      <p className="text-large text-bone-2">
        {shownC === null ? 'Set on your oven; read its own display' : 'Oven reads'}
      </p>
      <p className="figure text-[clamp(110px,23vw,270px)]" style={{ color: figureColour(c) }}>
        {shownC === null && setC === 0 ? 'off' : formatNumber(c, 'temperature', system)}
      </p>
      <p className="text-page">
        {shownUnitLabel('temperature', system)}{' '}
        <span className="text-bone-2">{formatQuantity(c, 'temperature', other)}</span> {set}
        {targetC !== null && (
          <span className="text-bone-2"> · wait for {formatQuantity(targetC, 'temperature', system)}</span>
        )}
      </p>
    </div>
  )
}

/** How long until the one action, and what comes after it. */
export function TimeLeft({
  state,
  ovenWaitS,
  next,
}: {
  state: RunState
  ovenWaitS: number | null
  /** What comes after the present step. */
  next: string
}) {
  const { remainingS, ready, step } = state
  const says =
    remainingS !== null
      ? remainingS > 0
        ? 'Ready in'
        : 'Overdue by'
      : !step?.wait
        ? 'When you are ready'
        : ready
          ? 'The oven is at temperature'
          : 'Oven at temperature in about'
  const time =
    remainingS !== null
      ? clockText(Math.abs(remainingS))
      : ready
        ? 'now'
        : ovenWaitS !== null && Number.isFinite(ovenWaitS)
          ? clockText(ovenWaitS)
          : '…'
  return (
    <div className="grid gap-5">
      <div>
        <p className="text-heading text-bone-2">{says}</p>
        <p className={`figure text-[clamp(64px,10vw,116px)] ${ready ? 'text-hot' : ''}`}>{time}</p>
      </div>
      <div>
        <p className="text-heading text-bone-2">Then</p>
        <p className="text-page font-semibold">{next}</p>
      </div>
    </div>
  )
}
