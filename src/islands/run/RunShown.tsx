import { useMemo } from 'react'
import { boardOf } from '../../core/run/board'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { clockText } from '../../words/clock-text'
import { happenedWords } from '../../words/incidents'
import { stepWords } from '../../words/run'
import { useShopNow } from '../shop-context'
import { RunBoard } from './RunBoard'
import { OvenFigure, TimeLeft } from './RunFigures'
import { useRunOven } from './use-run-oven'
import { useRunSecond } from './use-run-second'
import { useWakeLock } from './use-wake-lock'

/** Shows a run on a screen that only shows: to be read from across the shop, with nothing to press. */
export default function RunShown({ batch, run }: { readonly batch: Batch; readonly run: Run }) {
  const { units } = useShopNow()
  const nowS = useRunSecond(run)
  const oven = useRunOven(run, batch, nowS)
  const { state, known } = oven
  const { step } = state
  const said = useMemo(() => (step ? stepWords(step, batch, units) : null), [step, batch, units])
  useWakeLock()
  if (!said) return null
  const happened = state.incidents.findLast(one => one.atS >= state.sinceS)
  return (
    <div className="flex flex-1 flex-col gap-4 p-4 md:px-9" data-ready={state.ready ? 'run' : undefined}>
      <header className="flex flex-wrap justify-between gap-x-6 text-title">
        <p>
          <strong>{said.title}</strong>{' '}
          <span className="text-bone-2">
            step {state.stepIndex + 1} of {state.steps.length}
          </span>
        </p>
        <p className="text-bone-2">
          {batch.name} · {clockText(nowS)} · {state.inOven} in, {state.out} out
          {state.people === 2 && (
            <a className="ml-4 text-lead underline" href="?helper">
              Only the plates
            </a>
          )}
        </p>
      </header>
      <div className="grid gap-x-8 gap-y-2 md:grid-cols-2">
        <OvenFigure oven={oven} onShows={null} />
        <TimeLeft oven={oven} batch={batch} />
      </div>
      <p className="text-figure-small" role="status">
        {state.ready ? said.action : said.detail}
      </p>
      {happened && <p className="text-title text-[#ffd9b8]">{happenedWords(happened, batch)}</p>}
      <div className="flex-1">
        <RunBoard rows={boardOf(run, state, nowS, known.arrivedS)} batch={batch} />
      </div>
    </div>
  )
}
