import { useEffect, useRef, useState } from 'react'
import * as z from 'zod/mini'
import { jumpBetween, mendedClock, runSecondsAt, steadySecondsAt, type Tick, withLeg } from '../../core/run/clock'
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
  | { readonly kind: 'away'; readonly byS: number; readonly seenS: number }
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

function questionOnArrival(run: Run): ClockQuestion | null {
  const seen = lastSeen(run.id)
  if (!seen || run.mode === 'practice') return null
  const goneMs = Date.now() - seen.wallMs
  if (goneMs < -BACK_WITHIN_MS) return { kind: 'set-back', seenS: seen.runS }
  return !seen.left && goneMs > AWAY_FROM_MS
    ? { kind: 'away', byS: secondsBetween(seen.wallMs, Date.now()), seenS: seen.runS }
    : null
}

/**
 * Where a run's clock stands, from its stored legs and against a clock that nobody can set. A clock set back is mended without a
 * word; one that leaps ahead is asked about, and until then the run goes on as if it had not.
 */
export function useRunClock(run: Run): RunClock {
  const [tick, setTick] = useState(readTick)
  const [question, setQuestion] = useState(() => questionOnArrival(run))
  const latest = useRef(run)
  latest.current = run
  const last = useRef(tick)
  useEffect(() => {
    const { id, mode } = latest.current
    const seen = lastSeen(id)
    // Practice waits while nobody looks.
    if (mode === 'practice' && seen)
      void changeRun(id, stored => ({ ...stored, clock: [...withLeg(stored.clock, Date.now(), seen.runS)] }))
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
      } else noteSeen(id, now.wallMs, runSecondsAt(latest.current.clock, now.wallMs), false)
      setTick(now)
    })
    const leave = () => noteSeen(id, Date.now(), runSecondsAt(latest.current.clock, Date.now()), true)
    addEventListener('pagehide', leave)
    return () => {
      stopTicking()
      removeEventListener('pagehide', leave)
      if (latest.current.endedAt !== null) forgetSeen(id)
    }
  }, [])
  const answer = (of: ClockAnswer) => {
    const asked = question
    setQuestion(null)
    if (!asked) return
    if (of.kind === 'clock-was-set' && asked.kind === 'ahead')
      void changeRun(run.id, stored =>
        stored.clock.length === asked.legs
          ? { ...stored, clock: [...mendedClock(stored.clock, asked.before, readTick())] }
          : stored,
      )
    else if (of.kind === 'clock-was-set' && asked.kind === 'away')
      void changeRun(run.id, stored => ({ ...stored, clock: [...withLeg(stored.clock, Date.now(), asked.seenS)] }))
    else if (of.kind === 'was-away' && asked.kind === 'set-back')
      void changeRun(run.id, stored => ({
        ...stored,
        clock: [...withLeg(stored.clock, Date.now(), asked.seenS + secondsOf(of.minutes))],
      }))
  }
  return { nowS: nowOf(run, question, tick), question, answer }
}

/** The second a run stands at; while a leap of the clock is not explained, as if it had not been. */
function nowOf(run: Run, question: ClockQuestion | null, tick: Tick): number {
  if (question?.kind === 'set-back') return question.seenS
  if (question?.kind !== 'ahead') return runSecondsAt(run.clock, tick.wallMs)
  return steadySecondsAt(run.clock, question.before, tick)
}
