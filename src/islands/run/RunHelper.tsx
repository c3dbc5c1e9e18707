import { useMemo } from 'react'
import { partOf } from '../../core/run/cues'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { onlyShows } from '../../store/shared-role'
import { helperNextWords, helperNowWords, roleWords } from '../../words/cues'
import { happenedWords } from '../../words/incidents'
import { stepWords } from '../../words/run'
import { useShopNow } from '../shop-context'
import { EarlyWords } from './EarlyWords'
import { TimeLeft } from './RunFigures'
import { useConfirm } from './use-confirm'
import { usePressKey } from './use-press-key'
import { useRunOven } from './use-run-oven'
import { useRunPrefs } from './use-run-prefs'
import { useRunSecond } from './use-run-second'
import { useWakeLock } from './use-wake-lock'

/** Shows who stands at the plates what to do now and next, to be read at two metres, and nothing else of the run. */
export default function RunHelper({ batch, run }: { readonly batch: Batch; readonly run: Run }) {
  const { units } = useShopNow()
  const nowS = useRunSecond(run)
  const oven = useRunOven(run, batch, nowS)
  const { state } = oven
  const { step } = state
  const said = useMemo(() => (step ? stepWords(step, batch, units) : null), [step, batch, units])
  const { now, next, isAlone } = partOf('plates', state)
  const { confirm, early } = useConfirm(run, oven)
  const { boundKey } = useRunPrefs()
  const mayPress = isAlone && !onlyShows()
  usePressKey({ onShort: confirm, onHold: () => undefined, off: !mayPress, boundKey })
  useWakeLock()
  if (!step || !said) return null
  const happened = state.incidents.findLast(one => one.atS >= state.sinceS)
  const nextTitle = next && stepWords(next, batch, units).title
  return (
    <div className="flex flex-1 flex-col gap-6 p-4 md:px-9" data-ready={now && state.ready ? 'run' : undefined}>
      <header className="flex flex-wrap justify-between gap-x-6 text-title text-bone-2">
        <h1>At the plates</h1>
        <a className="inline-flex min-h-touch items-center underline" href={location.pathname}>
          The whole run
        </a>
      </header>
      {/* Read by a helper with full hands: one thing at a time, as large as the screen takes it. */}
      <p className="text-[clamp(44px,8vw,112px)] leading-tight font-semibold" role="status">
        {helperNowWords(roleWords(step, said, batch).plates, now === null || state.ready)}
      </p>
      {happened && <p className="text-figure-small text-[#ffd9b8]">{happenedWords(happened, batch)}</p>}
      <p className="text-[clamp(30px,4vw,56px)] leading-tight text-[#ffd9b8]">{helperNextWords(nextTitle)}</p>
      {!now && <p className="text-title text-bone-2">At the oven: {said.title}</p>}
      <TimeLeft oven={oven} batch={batch} />
      {mayPress && (
        <button
          type="button"
          className="run-action mt-auto"
          data-ready={state.ready}
          onClick={() => confirm(Date.now())}
        >
          <span>{early ? <EarlyWords step={step} oven={oven} /> : said.action}</span>
        </button>
      )}
    </div>
  )
}
