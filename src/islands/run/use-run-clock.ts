import { useEffect, useRef, useState } from 'react'
import * as z from 'zod/mini'
import {
  jumpBetween,
  mendedClock,
  realMsAt,
  runSecondsAt,
  steadySecondsAt,
  type Tick,
  withLeg,
} from '../../core/run/clock'
import type { Run } from '../../core/shop/run'
import { secondsBetween, secondsOf } from '../../core/units/time'
import { changeRun } from '../../store/runs'
import { startTicker } from '../../workers/ticker'

/** When a page last had a run in view, by the computer's clock, ms, and by the run's own, s; and whether it was left on purpose. */
const seenSchema = z.object({ wallMs: z.number(), runS: z.number().check(z.minimum(0)), left: z.boolean() })
type Seen = z.infer<typeof seenSchema>

const keyOf = (runId: string) => `tawny-ember-run-seen:${runId}`

function lastSeen(runId: string): Seen | null {
  try {
    const parsed = seenSchema.safeParse(JSON.parse(localStorage.getItem(keyOf(runId)) ?? 'null'))
    return parsed.success ? parsed.data : null
  } catch {
    return null
  }
}

function noteSeen(runId: string, wallMs: number, runS: number, left: boolean) {
  try {
    localStorage.setItem(keyOf(runId), JSON.stringify({ wallMs, runS, left } satisfies Seen))
  } catch {
    // Storage may be blocked: then nobody asks after a crash.
  }
}

function forgetSeen(runId: string) {
  try {
    localStorage.removeItem(keyOf(runId))
  } catch {
    // As above.
  }
}

const TICK_MS = 250
/** A page that went without a word for longer is asked about, ms. */
const AWAY_FROM_MS = 60_000
/** Less is a page that loaded slowly, ms. */
const BACK_WITHIN_MS = 1500

/** Question about the time that passed, which only a person can answer. Seconds on the run's clock where it says S, of life otherwise. */
export type ClockQuestion =
  /** The computer's clock leapt ahead: it slept, or it was set. */
  | { readonly kind: 'ahead'; readonly byS: number; readonly before: Tick; readonly legs: number }
  /** The page was gone without having been closed: a crash, a power cut, a flat battery. */
  | { readonly kind: 'away'; readonly byS: number; readonly seenS: number; readonly before: Tick }
  /** The page was gone, and the clock stands earlier than when it went. */
  | { readonly kind: 'set-back'; readonly seenS: number }

export interface RunClock {
  readonly nowS: number
  readonly question: ClockQuestion | null
  readonly answer: (of: ClockAnswer) => void
}

export type ClockAnswer =
  | { readonly kind: 'went-on' }
  | { readonly kind: 'clock-was-set' }
  | { readonly kind: 'was-away'; readonly minutes: number }

const readTick = (): Tick => ({ wallMs: Date.now(), steadyMs: performance.now() })

/** A moment of this page that stands for a second of the run's clock: from there on the steady clock counts. */
const tickAt = (clock: Run['clock'], runS: number, agoMs = 0): Tick => ({
  wallMs: realMsAt(clock, runS),
  steadyMs: performance.now() - agoMs,
})

/** Returns what an earlier page asked and nobody answered, or what this one has to ask as it comes. */
function questionOnArrival(run: Run): ClockQuestion | null {
  if (run.mode === 'practice' || run.endedAt !== null) return null
  const seen = lastSeen(run.id)
  const goneMs = seen ? Date.now() - seen.wallMs : 0
  const { asked, clock } = run
  if (asked) {
    const { byS, kind } = asked
    const seenS = Math.max(asked.seenS, kind === 'ahead' ? (seen?.runS ?? 0) : 0)
    if (kind === 'set-back') return { kind, seenS }
    const before = tickAt(clock, seenS, Math.min(AWAY_FROM_MS, Math.max(0, goneMs)))
    return kind === 'ahead' ? { kind, byS, before, legs: clock.length } : { kind, byS, seenS, before }
  }
  if (!seen) return null
  if (goneMs < -BACK_WITHIN_MS) return { kind: 'set-back', seenS: seen.runS }
  return !seen.left && goneMs > AWAY_FROM_MS
    ? { kind: 'away', byS: secondsBetween(seen.wallMs, Date.now()), seenS: seen.runS, before: tickAt(clock, seen.runS) }
    : null
}

/** A question as the run stores it. */
const storedAs = (question: ClockQuestion, clock: Run['clock']): NonNullable<Run['asked']> =>
  question.kind === 'ahead'
    ? { kind: 'ahead', byS: question.byS, seenS: Math.max(0, runSecondsAt(clock, question.before.wallMs)) }
    : { kind: question.kind, byS: 'byS' in question ? question.byS : 0, seenS: question.seenS }

/**
 * Where a run's clock stands, from its stored legs and against a clock that nobody can set. A clock set back is mended without a
 * word; one that leaps ahead is asked about, and until then the run goes on as if it had not.
 */
export function useRunClock(run: Run): RunClock {
  const [tick, setTick] = useState(readTick)
  const [question, setQuestion] = useState(() => questionOnArrival(run))
  const latest = useRef(run)
  latest.current = run
  const open = useRef(question)
  open.current = question
  // It outlives this page: every question of a run is stored with it.
  const runId = run.id
  useEffect(() => {
    if (question)
      void changeRun(runId, stored => (stored.asked ? stored : { ...stored, asked: storedAs(question, stored.clock) }))
  }, [question, runId])
  const last = useRef(tick)
  useEffect(() => {
    const { id, mode } = latest.current
    const seen = lastSeen(id)
    // Practice waits while nobody looks.
    if (mode === 'practice' && seen)
      void changeRun(id, stored => ({ ...stored, clock: [...withLeg(stored.clock, Date.now(), seen.runS)] }))
    // A tick already on its way when the page is left must not say that the page is still there.
    let left = false
    const stopTicking = startTicker(TICK_MS, () => {
      const now = readTick()
      const before = last.current
      last.current = now
      const jump = jumpBetween(before, now)
      if (jump.kind === 'set-back')
        void changeRun(id, stored => ({ ...stored, clock: [...mendedClock(stored.clock, before, now)] }))
      else if (jump.kind === 'ahead') {
        const legs = latest.current.clock.length
        setQuestion(asked => asked ?? { kind: 'ahead', byS: jump.byS, before, legs })
      } else if (!left) noteSeen(id, now.wallMs, nowOf(latest.current, open.current, now), false)
      setTick(now)
    })
    const leave = () => {
      left = true
      noteSeen(id, Date.now(), nowOf(latest.current, open.current, readTick()), true)
    }
    const comeBack = () => {
      left = false
    }
    addEventListener('pagehide', leave)
    addEventListener('pageshow', comeBack)
    return () => {
      stopTicking()
      removeEventListener('pagehide', leave)
      removeEventListener('pageshow', comeBack)
      if (latest.current.endedAt !== null) forgetSeen(id)
    }
  }, [])
  const answer = (of: ClockAnswer) => {
    const asked = question
    setQuestion(null)
    if (!asked) return
    void changeRun(run.id, ({ asked: _, ...stored }) => ({
      ...stored,
      clock: [...clockAnswered(stored.clock, asked, of)],
    }))
  }
  return { nowS: nowOf(run, question, tick), question, answer }
}

/** Returns a run's clock once it is known what happened to it. */
function clockAnswered(clock: Run['clock'], asked: ClockQuestion, of: ClockAnswer): Run['clock'] {
  if (of.kind === 'clock-was-set' && asked.kind === 'ahead')
    return clock.length === asked.legs ? mendedClock(clock, asked.before, readTick()) : clock
  if (of.kind === 'clock-was-set' && asked.kind === 'away') return withLeg(clock, Date.now(), asked.seenS)
  if (of.kind === 'was-away' && asked.kind === 'set-back')
    return withLeg(clock, Date.now(), asked.seenS + secondsOf(of.minutes))
  return clock
}

/** Returns the second a run stands at; while a leap of the clock or an absence is not explained, as if it had not been. */
function nowOf(run: Run, question: ClockQuestion | null, tick: Tick): number {
  if (question === null) return runSecondsAt(run.clock, tick.wallMs)
  return question.kind === 'set-back' ? question.seenS : steadySecondsAt(run.clock, question.before, tick)
}
