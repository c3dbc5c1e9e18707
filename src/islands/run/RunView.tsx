import { useMemo, useState, useSyncExternalStore } from 'react'
import { cutToAnswer, stillOffOf } from '../../core/run/after-cut'
import { boardOf } from '../../core/run/board'
import { helperOf } from '../../core/run/practice-helper'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { unsavedRuns } from '../../store/unsaved-runs'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { afterCutStanding, countWords, meanwhileWords, stillOffWords } from '../../words/board'
import { clockText } from '../../words/clock-text'
import { happenedWords } from '../../words/incidents'
import { stepWords } from '../../words/run'
import { leadWords } from '../../words/sharing'
import { useShopNow } from '../shop-context'
import { AfterCut } from './AfterCut'
import { ClockQuestions } from './ClockQuestions'
import { EarlyWords } from './EarlyWords'
import { HeardPanel } from './HeardPanel'
import { OverSoak } from './OverSoak'
import { RemarkDialog } from './RemarkDialog'
import { RunBoard } from './RunBoard'
import { OvenFigure, TimeLeft } from './RunFigures'
import { addMinutes, logHeatsAgain, logRemark, logShown, takeBack } from './run-log'
import { setRunPrefs } from './run-prefs'
import { SomethingHappened } from './SomethingHappened'
import { changeSpeed, SpeedControl } from './SpeedControl'
import { openSurprises, SurpriseNote } from './SurpriseNote'
import { TwoPeople } from './TwoPeople'
import { useConfirm } from './use-confirm'
import { useHeard } from './use-heard'
import { type Lead, useLead } from './use-lead'
import { useLeaving } from './use-leaving'
import { usePressKey } from './use-press-key'
import { useRunClock } from './use-run-clock'
import { useRunKeys } from './use-run-keys'
import { useRunOven } from './use-run-oven'
import { useRunPrefs } from './use-run-prefs'
import { useWakeLock } from './use-wake-lock'

interface Props {
  /** All that is run, as one batch. */
  readonly batch: Batch
  readonly run: Run
}

type Open = 'remark' | 'happened' | 'call-off' | 'heard' | null

/** One screen, one action: what the oven shows, the time left, every blade's clock, what to do, what comes next. */
export default function RunView({ batch, run }: Props) {
  const shop = useShopNow()
  const clock = useRunClock(run)
  const { nowS } = clock
  const oven = useRunOven(run, batch, nowS)
  const { state, known } = oven
  const { step } = state
  const said = useMemo(() => (step ? stepWords(step, batch, shop.units) : null), [step, batch, shop.units])
  const prefs = useRunPrefs()
  const say = useSay()
  const [open, setOpen] = useState<Open>(null)
  const { confirm, early } = useConfirm(run, oven)
  const cut = cutToAnswer(state)
  const isAsked =
    open === 'remark' || open === 'happened' || open === 'call-off' || clock.question !== null || cut !== null
  const practice = run.mode === 'practice'
  useWakeLock()
  const lead = useLead(run.id, prefs)
  useHeard({
    step,
    words: said,
    nowS,
    dueS: state.dueS,
    ready: state.ready,
    wrong:
      oven.silentS !== null ||
      clock.question !== null ||
      (run.drill !== undefined && openSurprises(run, nowS).length > 0),
    people: state.people,
    prefs: lead.heard,
  })
  usePressKey({ onShort: confirm, onHold: () => setOpen('happened'), off: isAsked, boundKey: prefs.boundKey })
  const leaving = useLeaving(run)
  const minute = () => step && void addMinutes(run, step.id, 1)
  useRunKeys({
    onTakeBack: () => void takeBack(run),
    onMinute: minute,
    onRemark: () => setOpen('remark'),
    onHappened: () => setOpen('happened'),
    onVoice: () => setRunPrefs({ voice: !prefs.voice }),
    onFaster: () => practice && changeSpeed(run, 1),
    onSlower: () => practice && changeSpeed(run, -1),
    onLeave: () => {
      if (open !== null) setOpen(null)
      else leaving.ask()
    },
    off: isAsked,
  })
  if (!step || !said) return null
  const rows = boardOf(run, state, nowS, known.arrivedS)
  // The incident stays visible until the next press.
  const happened = state.incidents.findLast(one => one.atS >= state.sinceS)
  const waits = state.ready ? said.action : `Wait, then ${lowerFirst(said.action)}`
  return (
    <div className="flex flex-1 flex-col gap-2.5 p-4 md:px-9 md:py-4" data-ready={state.ready ? 'run' : undefined}>
      <header className="flex flex-wrap justify-between gap-x-6 text-heading">
        <p>
          <strong>{said.title}</strong>{' '}
          <span className="text-bone-2">
            step {state.stepIndex + 1} of {state.steps.length}
          </span>
        </p>
        <p className="text-bone-2">
          {practice ? 'Practice: ' : ''}
          {batch.name} · {clockText(nowS)} · {state.inOven} in, {state.out} out
          {state.gone.size > 0 ? `, ${state.gone.size} set aside` : ''}
        </p>
      </header>
      <Troubles oven={oven} runId={run.id} />
      <OtherLeads lead={lead} last={state.confirmed.at(-1)?.event.on} />
      <StillOff run={run} nowS={nowS} />
      {run.drill && <SurpriseNote run={run} batch={batch} nowS={nowS} />}
      <div className="grid gap-x-8 gap-y-2 md:grid-cols-2">
        <OvenFigure oven={oven} onShows={c => void logShown(run, c, 'hand')} />
        <TimeLeft oven={oven} batch={batch} />
      </div>
      <div className="flex-1">
        <RunBoard rows={rows} batch={batch} />
      </div>
      <OverSoak rows={rows} batch={batch} />
      <p className="text-large text-[#ffd9b8]">
        {happened ? happenedWords(happened, batch) : `${countWords(state, batch)}${said.detail}`}
      </p>
      {state.people === 2 && (
        <TwoPeople
          step={step}
          batch={batch}
          action={said.action}
          helper={helperOf(run, nowS).at(-1)}
          nowS={nowS}
          onLeave={leaving.meant}
        />
      )}
      <div className="grid gap-3 md:grid-cols-[minmax(0,1fr)_300px]">
        <button
          type="button"
          className="run-action !min-h-[80px] !py-2"
          data-ready={state.ready}
          onClick={() => confirm(Date.now())}
        >
          <span>{early ? <EarlyWords step={step} oven={oven} /> : waits}</span>
          <kbd className="hidden rounded font-sans sm:block border-2 border-current px-4 py-1 text-title font-semibold">
            Space
          </kbd>
        </button>
        <button
          type="button"
          className="run-action run-action-quiet !min-h-[80px] !py-2 !text-title"
          onClick={() => setOpen('happened')}
        >
          Something happened
          <small>X, or hold the pedal</small>
        </button>
      </div>
      <footer className="flex flex-wrap items-center gap-x-1 text-lead text-bone-2">
        <RunKey onClick={minute} keyName="+" says="one more minute" />
        <RunKey onClick={() => void takeBack(run)} keyName="Z" says="take back" />
        <RunKey onClick={() => setOpen('remark')} keyName="L" says="remark" />
        <RunKey
          onClick={() => setOpen(open === 'heard' ? null : 'heard')}
          keyName={prefs.sound ? '♪' : '–'}
          says="sound, voice, controller"
        />
        <a
          href={`/batch/${batch.id}/${step.station}`}
          onClick={leaving.meant}
          className={`inline-flex min-h-[72px] items-center px-3 ${leaving.asked ? 'font-semibold text-[#ffd9b8]' : ''}`}
        >
          <b className="mr-2 text-bone">Esc</b>{' '}
          {leaving.asked ? 'press Esc again to leave, the clocks go on' : 'leave, the clocks go on'}
        </a>
        {practice && <SpeedControl run={run} />}
      </footer>
      {open === 'heard' && <HeardPanel prefs={prefs} batch={batch} onClose={() => setOpen(null)} />}
      <RemarkDialog
        runId={run.id}
        open={open === 'remark'}
        onClose={() => setOpen(null)}
        onRemark={text => {
          void logRemark(run, text)
          toast(`Noted at ${clockText(nowS)}: ${text}`)
        }}
      />
      {(open === 'happened' || open === 'call-off') && (
        <SomethingHappened
          callOff={open === 'call-off'}
          run={run}
          batch={batch}
          state={state}
          boundKey={prefs.boundKey}
          onClose={() => setOpen(null)}
        />
      )}
      {cut && !clock.question && open === null && (
        <AfterCut
          run={run}
          cut={cut}
          boundKey={prefs.boundKey}
          standing={afterCutStanding(rows, known.shownC, say)}
          onStop={() => setOpen('call-off')}
        />
      )}
      {clock.question && (
        <ClockQuestions
          run={run}
          question={clock.question}
          boundKey={prefs.boundKey}
          answer={clock.answer}
          onStop={() => setOpen('call-off')}
          meanwhile={meanwhileWords(rows, known.shownC, batch, say)}
        />
      )}
      <p className="sr-only" role="status">
        {state.ready ? `Now: ${said.action}` : said.title}
      </p>
    </div>
  )
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** Says on which screen alarms and voice are, and where the last step was pressed; this one can take them over. */
function OtherLeads({ lead, last }: { lead: Lead; last: string | undefined }) {
  if (lead.other === null) return null
  return (
    <div className="flex flex-wrap items-center gap-x-4 text-lead text-bone-2">
      <p>
        {leadWords(lead.other, last)}{' '}
        <button type="button" className="min-h-touch px-2 text-bone underline" onClick={lead.take}>
          Lead from here
        </button>
      </p>
    </div>
  )
}

/** Says that the oven does not heat, and for how long, until it is called on again. */
function StillOff({ run, nowS }: { run: Run; nowS: number }) {
  const off = stillOffOf(run)
  return off === null ? null : (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-4 border-l-4 border-[#ff8a6a] bg-soot-2 p-3 text-large"
    >
      <p>{stillOffWords(off, nowS)}</p>
      <button
        type="button"
        className="min-h-[72px] border-2 border-soot-rule px-4 text-large text-bone"
        onClick={() => void logHeatsAgain(run)}
      >
        It heats again
      </button>
    </div>
  )
}

/** Lists obstacles to trusting what is shown, or to storing what is pressed. */
function Troubles({ oven, runId }: { oven: ReturnType<typeof useRunOven>; runId: string }) {
  const unsaved = useSyncExternalStore(unsavedRuns.subscribe, unsavedRuns.get, unsavedRuns.get)
  const says = [
    ...(oven.silentS === null
      ? []
      : [`The controller has been silent for ${oven.silentS} s. The oven’s model goes on from what it showed last.`]),
    ...(oven.modelFailed
      ? [
          'The oven’s model cannot be worked out on this page. The clocks go by the pull list of the plan and by your presses.',
        ]
      : []),
    ...(unsaved.has(runId)
      ? ['The browser does not store this run at the moment. It is kept on this page and tried again: do not close it.']
      : []),
  ]
  return says.length === 0 ? null : (
    <div role="alert" className="border-l-4 border-[#ff8a6a] bg-soot-2 p-3 text-large">
      {says.map(text => (
        <p key={text}>{text}</p>
      ))}
    </div>
  )
}

function RunKey({ keyName, says, onClick }: { keyName: string; says: string; onClick: () => void }) {
  return (
    <button type="button" className="min-h-[72px] min-w-[72px] px-3 hover:text-bone" onClick={onClick}>
      <b className="mr-2 text-bone">{keyName}</b>
      {says}
    </button>
  )
}
