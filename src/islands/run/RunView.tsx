import { useCallback, useEffect, useRef, useState } from 'react'
import { tinykeys } from 'tinykeys'
import { runSecondsAt } from '../../core/job/run-state'
import type { Batch } from '../../core/shop/batch'
import type { Run, RunEvent, RunStep } from '../../core/shop/run'
import { addRemark, changeRun, logEvent } from '../../store/records'
import { clockText } from '../../words/clock-text'
import { stepWords } from '../../words/run'
import { useShopNow } from '../shop-context'
import { RemarkDialog } from './RemarkDialog'
import { Temperature, TimeLeft } from './RunPanels'
import { RunSteps } from './RunSteps'
import { SpeedControl } from './SpeedControl'
import { useReadySignal, useWakeLock } from './use-attention'
import { useRunClock } from './use-run-clock'

interface Props {
  readonly batch: Batch
  readonly run: Run
}

/** A press before the time asks for a second one within this, ms: a pedal is easily brushed. */
const SURE_MS = 4000

/** One screen, one action: temperature, time left, what to do, what comes next. */
export function RunView({ batch, run }: Props) {
  const shop = useShopNow()
  const { nowS, state, display, ovenWaitS } = useRunClock(run, batch)
  const { step } = state
  const words = (s: RunStep) => stepWords(s, batch, shop.units)
  const said = step && words(step)
  const [sound, setSound] = useState(true)
  const [remark, setRemark] = useState(false)
  const { confirm, early } = useConfirm(run, state.ready, step)
  const add = useCallback(
    (kind: RunEvent['kind'], part: Partial<RunEvent> = {}) => {
      const stepId = step?.id ?? 'end'
      void logEvent(run.id, {
        atS: runSecondsAt(run.clock, Date.now()),
        kind,
        stepId,
        minutes: null,
        text: '',
        ...part,
      })
    },
    [run, step],
  )
  useWakeLock()
  useReadySignal(step?.id ?? null, step?.wait !== null, state.ready, said?.action ?? '', sound)
  useRunKeys({
    confirm,
    onTakeBack: () => add('take-back'),
    onMinute: () => add('add-minutes', { minutes: 1 }),
    onRemark: () => setRemark(true),
    off: remark,
  })
  if (!step || !said) return null
  const both = display ? display.indicatedC : null
  return (
    <div className="flex min-h-dvh flex-col gap-4 p-5 md:p-10 md:pt-6">
      <header className="flex flex-wrap justify-between gap-x-6 text-heading">
        <p>
          <strong>{said.title}</strong> · {state.stepIndex + 1} of {run.steps.length}
        </p>
        <p className="text-bone-2">
          {batch.name} · {run.mode === 'practice' ? 'practice ' : ''}
          {clockText(nowS)} · {state.inOven} in, {state.out} out
        </p>
      </header>
      <div className="grid flex-1 items-center gap-x-10 gap-y-4 md:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <Temperature shownC={both} setC={display?.setC ?? step.ovenSetC} targetC={targetOf(step)} system={shop.units} />
        <TimeLeft
          state={state}
          ovenWaitS={ovenWaitS}
          next={state.next ? words(state.next).title : 'the run is finished'}
        />
      </div>
      <RunSteps steps={run.steps.map(s => ({ id: s.id, title: words(s).title }))} index={state.stepIndex} />
      <p className="text-title text-[#ffd9b8]">{said.detail}</p>
      <button type="button" className="run-action" data-ready={state.ready} onClick={confirm}>
        <span>
          {early
            ? `Not yet. Press again to go on all the same`
            : state.ready
              ? said.action
              : `Wait, then ${lowerFirst(said.action)}`}
        </span>
        <kbd className="hidden rounded font-sans sm:block border-2 border-current px-4 py-1 text-title font-semibold">
          Space
        </kbd>
      </button>
      <footer className="flex flex-wrap items-center gap-x-2 text-lead text-bone-2">
        <RunKey onClick={() => add('add-minutes', { minutes: 1 })} keyName="+" says="one more minute" />
        <RunKey onClick={() => setRemark(true)} keyName="L" says="log a remark" />
        <RunKey onClick={() => add('take-back')} keyName="Z" says="take back" />
        <RunKey onClick={() => setSound(!sound)} keyName={sound ? '♪' : '–'} says={sound ? 'sound on' : 'sound off'} />
        <a href={`/batch/${batch.id}/${step.station}`} className="inline-flex min-h-[72px] items-center px-3">
          <b className="mr-2 text-bone">Esc</b> leave, the clocks go on
        </a>
        {run.mode === 'practice' && <SpeedControl run={run} />}
      </footer>
      <RemarkDialog
        runId={run.id}
        open={remark}
        onClose={() => setRemark(false)}
        onRemark={text =>
          void addRemark(run.id, {
            atS: runSecondsAt(run.clock, Date.now()),
            kind: 'remark',
            stepId: step.id,
            minutes: null,
            text,
          })
        }
      />
      <p className="sr-only" role="status">
        {state.ready ? `Now: ${said.action}` : said.title}
      </p>
    </div>
  )
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

const targetOf = (step: Run['steps'][number]): number | null =>
  step.wait?.kind === 'oven' ? step.wait.atLeastC : step.wait?.kind === 'oven-below' ? step.wait.atMostC : null

/** Confirms the present step; before its time only on the second press. */
function useConfirm(run: Run, ready: boolean, step: Run['steps'][number] | null) {
  const [early, setEarly] = useState<string | null>(null)
  const busy = useRef(false)
  useEffect(() => {
    if (!early) return
    const timer = setTimeout(() => setEarly(null), SURE_MS)
    return () => clearTimeout(timer)
  }, [early])
  const confirm = useCallback(() => {
    if (!step || busy.current) return
    if (!ready && early !== step.id) return setEarly(step.id)
    setEarly(null)
    busy.current = true
    const atS = runSecondsAt(run.clock, Date.now())
    const last = run.steps[run.steps.length - 1]?.id === step.id
    void changeRun(run.id, stored => ({
      ...stored,
      events: [...stored.events, { atS, kind: 'confirm', stepId: step.id, minutes: null, text: '' }],
      endedAt: last ? new Date().toISOString() : stored.endedAt,
    })).finally(() => {
      busy.current = false
    })
  }, [run, ready, step, early])
  return { confirm, early: early === step?.id }
}

function useRunKeys(keys: {
  confirm: () => void
  onTakeBack: () => void
  onMinute: () => void
  onRemark: () => void
  off: boolean
}) {
  const latest = useRef(keys)
  latest.current = keys
  useEffect(() => {
    const press = (act: (now: typeof keys) => void) => (event: KeyboardEvent) => {
      if (latest.current.off || event.repeat) return
      event.preventDefault()
      act(latest.current)
    }
    /** A focused control answers for itself. */
    const unlessFocused = (event: KeyboardEvent) => {
      const isControl = event.target instanceof HTMLElement && event.target.closest('button, a, select, input')
      if (!isControl) press(now => now.confirm())(event)
    }
    const minute = press(now => now.onMinute())
    const unlisten = tinykeys(window, {
      Space: unlessFocused,
      Enter: unlessFocused,
      z: press(now => now.onTakeBack()),
      'Shift+Z': press(now => now.onTakeBack()),
      '+': minute,
      'Shift++': minute,
      '=': minute,
      l: press(now => now.onRemark()),
      'Shift+L': press(now => now.onRemark()),
      Escape: press(() => history.length > 1 && history.back()),
    })
    // A button that was clicked must not keep the focus, or the next press of the pedal would go to it.
    const onClick = (event: MouseEvent) => {
      const clicked = event.target instanceof Element ? event.target.closest('button') : null
      if (event.detail > 0) clicked?.blur()
    }
    addEventListener('click', onClick)
    return () => {
      unlisten()
      removeEventListener('click', onClick)
    }
  }, [])
}

function RunKey({ keyName, says, onClick }: { keyName: string; says: string; onClick: () => void }) {
  return (
    <button type="button" className="min-h-[72px] min-w-[72px] px-3 hover:text-bone" onClick={onClick}>
      <b className="mr-2 text-bone">{keyName}</b>
      {says}
    </button>
  )
}
