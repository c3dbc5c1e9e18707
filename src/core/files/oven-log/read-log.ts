import { fail, ok, type Result } from '../../codes/result'
import { isBreakText, isBreakValue, readNumberCell, unitOfCell } from './cells'
import { type LogLayout, recogniseLog, SAMPLE_ROWS } from './recognise'
import { readTime } from './time-cells'

/** Lines left out of a log: why, how many and where first. */
export interface Skipped {
  readonly why: 'break' | 'duplicate' | 'backward' | 'unreadable'
  readonly count: number
  readonly firstLine: number
}

export interface LogGap {
  readonly atMin: number
  readonly minutes: number
}

/** A log as read: minutes from the first sample, what the display showed. */
export interface ReadLog {
  readonly layout: LogLayout
  readonly minutes: Float64Array
  readonly celsius: Float64Array
  readonly rows: number
  readonly skipped: readonly Skipped[]
  readonly gaps: readonly LogGap[]
  /** Rows written in the other unit than the rest, converted by their own mark. */
  readonly mixedUnits: number
  /** Every so many samples one was kept, where the log is too long to keep whole. */
  readonly keptOneIn: number
}

/** Samples kept at most: a week at one a second. */
const MOST_SAMPLES = 600_000
/** A pause in the log longer than this many usual steps, and than a minute, is a gap. */
const GAP_STEPS = 5
const GAP_LEAST_S = 60
const DAY_S = 86_400

/**
 * Reads a log piece by piece, so that a file of any size passes through: push rows as they come, then finish. `layout` sets
 * right what would be recognised. Errors: those of recogniseLog, 'log-nothing-used' where no row could be read.
 */
export function createLogReader(layoutGiven: LogLayout | null = null) {
  let layout = layoutGiven
  let problem: Result<LogLayout> | null = null
  let waiting: string[][] = []
  let rowNumber = 0
  let rows = 0
  let minutes = new Float64Array(1 << 14)
  let celsius = new Float64Array(1 << 14)
  let n = 0
  let keptOneIn = 1
  let sinceKept = 0
  let lastS = Number.NEGATIVE_INFINITY
  let dayS = 0
  let mixedUnits = 0
  const skipped = new Map<Skipped['why'], { count: number; firstLine: number }>()

  const skip = (why: Skipped['why']) => {
    const known = skipped.get(why)
    if (known) known.count++
    else skipped.set(why, { count: 1, firstLine: rowNumber })
  }

  function keep(s: number, c: number) {
    if (++sinceKept < keptOneIn) return
    sinceKept = 0
    if (n >= MOST_SAMPLES) {
      // Every second sample makes room: the log is evenly thinner, not cut off.
      for (let i = 0; i < n >> 1; i++) {
        minutes[i] = minutes[2 * i] as number
        celsius[i] = celsius[2 * i] as number
      }
      n >>= 1
      keptOneIn *= 2
    }
    if (n === minutes.length) {
      minutes = grown(minutes)
      celsius = grown(celsius)
    }
    minutes[n] = s / 60
    celsius[n++] = c
  }

  function timeOf(row: readonly string[], of: LogLayout): number | null {
    const date = of.dateColumn === null ? '' : (row[of.dateColumn] ?? '')
    const cell = row[of.timeColumn] ?? ''
    const s = readTime(date === '' ? cell : `${date.trim()} ${cell.trim()}`, of.time)
    if (s === null || of.time.kind !== 'clock') return s
    // A clock that falls by more than half a day has passed midnight.
    if (s + dayS < lastS - DAY_S / 2) dayS += DAY_S
    return s + dayS
  }

  function take(row: readonly string[], of: LogLayout) {
    if (row.every(cell => cell.trim() === '')) return
    rows++
    const s = timeOf(row, of)
    const cell = row[of.temperatureColumn] ?? ''
    const raw = readNumberCell(cell, of.decimal)
    if (s !== null && (isBreakText(cell) || cell.trim() === '')) return skip('break')
    if (s === null || raw === null) return skip('unreadable')
    const written = unitOfCell(cell)
    if (written && written !== of.unit) mixedUnits++
    const c = (written ?? of.unit) === 'F' ? (raw - 32) / 1.8 : raw
    if (isBreakValue(c)) return skip('break')
    if (s === lastS) return skip('duplicate')
    if (s < lastS) return skip('backward')
    lastS = s
    keep(s, c)
  }

  const passHead = () => {
    if (problem || layout || waiting.length === 0) return
    const recognised = recogniseLog(waiting)
    if (recognised.ok) layout = recognised.value
    else problem = recognised
  }

  const drain = () => {
    if (!layout) return
    for (const row of waiting) if (++rowNumber > layout.headRows) take(row, layout)
    waiting = []
  }

  return {
    push(more: readonly (readonly string[])[]) {
      for (const row of more) waiting.push([...row])
      if (!layout && waiting.length >= SAMPLE_ROWS) passHead()
      drain()
    },
    finish(): Result<ReadLog> {
      passHead()
      drain()
      if (problem && !problem.ok) return problem
      if (!layout) return fail('file-empty', {})
      if (n < 2)
        return fail('log-nothing-used', { rows, skipped: [...skipped].map(([why, { count }]) => ({ why, count })) })
      const startMin = minutes[0] as number
      const own = { minutes: minutes.slice(0, n).map(m => m - startMin), celsius: celsius.slice(0, n) }
      return ok({
        layout,
        ...own,
        rows,
        skipped: [...skipped].map(([why, at]) => ({ why, ...at })),
        gaps: gapsOf(own.minutes),
        mixedUnits,
        keptOneIn,
      })
    },
  }
}

const grown = (from: Float64Array) => {
  const to = new Float64Array(from.length * 2)
  to.set(from)
  return to
}

function gapsOf(minutes: Float64Array): LogGap[] {
  const steps = minutes.subarray(1).map((m, i) => m - (minutes[i] as number))
  const usual = Float64Array.from(steps).sort()[steps.length >> 1] ?? 0
  const least = Math.max(GAP_STEPS * usual, GAP_LEAST_S / 60)
  const gaps: LogGap[] = []
  steps.forEach((step, i) => {
    if (step > least) gaps.push({ atMin: minutes[i] as number, minutes: step })
  })
  return gaps
}
