import {
  type ControllerCommand,
  type ControllerReading,
  type ControllerTrouble,
  isReadingLine,
  isTaken,
  readReading,
  writeCommand,
} from '../core/oven/line-protocol'
import { type LogPoint, thinLog } from '../core/oven/log-points'
import { createSubscribable } from '../core/subscribable'
import type { LinePort } from './line-port'

export interface ControllerState {
  readonly reading: ControllerReading | null
  readonly trouble: ControllerTrouble | null
  /** Display readings since the programme began, minutes on the controller's own clock and °C. */
  readonly samples: readonly LogPoint[]
  /** Whether what is heard goes on being kept. */
  readonly keeping: boolean
  /** Readings that could not be understood, torn or with figures no oven can mean: they count for nothing. */
  readonly garbled: number
}

/** Saves the samples so far; false when they could not be saved. */
export type KeepLog = (points: readonly LogPoint[]) => Promise<boolean>

export interface ControllerSession {
  readonly name: string
  readonly simulated: boolean
  state(): ControllerState
  subscribe(listener: () => void): () => void
  /** Sends commands in order, as far as the controller takes them; whether it took all. */
  send(commands: readonly ControllerCommand[]): Promise<boolean>
  /** Saves now, and again every half minute for as long as it is heard: a page that closes loses no more than that. */
  keep(save: KeepLog): Promise<boolean>
  close(): Promise<void>
}

/** Samples kept while listening: three hours at one a second, then one in two, and so on. */
const MOST_SAMPLES = 10_000
const KEPT_POINTS = 3000
const KEEP_EVERY_MS = 30_000
const LOOK_EVERY_MS = 5000
/** A controller reports every second; this long without a line it is gone, ms. */
const SILENT_AFTER_MS = 12_000

/**
 * A controller on a port, listened to for as long as it is connected, whatever part of the page is looked at: its last reading,
 * what it showed since its programme began, and what is wrong with it.
 */
export function openController(port: LinePort, simulated: boolean): ControllerSession {
  const state = createSubscribable<ControllerState>({
    reading: null,
    trouble: null,
    samples: [],
    keeping: false,
    garbled: 0,
  })
  let samples: LogPoint[] = []
  let save: KeepLog | null = null
  let [heardMs, keptMs] = [Date.now(), 0]
  const change = (part: Partial<ControllerState>) => state.set({ ...state.get(), ...part })
  /** Last trouble: a refusal or a missing answer, and the length of silence, s: silence is the graver. */
  let refused: ControllerTrouble | null = null
  let silentS = 0
  const troubleNow = (): ControllerTrouble | null => (silentS > 0 ? { code: 'silent', seconds: silentS } : refused)
  const saveNow = async (): Promise<boolean> => {
    if (!save || samples.length < 2) return false
    keptMs = Date.now()
    const points = thinLog(
      samples.map(([min]) => min),
      samples.map(([, c]) => c),
      KEPT_POINTS,
    )
    return save(points)
  }
  const stopListening = port.onLine(line => {
    const reading = readReading(line)
    if (!reading && isReadingLine(line)) change({ garbled: state.get().garbled + 1 })
    if (!reading) return
    heardMs = Date.now()
    const min = reading.atS / 60
    const last = samples.at(-1)
    // A programme begun anew starts the clock again: so does the log, and the one before stays as it is.
    if (last && min < last[0]) {
      samples = []
      save = null
    }
    if (reading.shownC !== null && min > (samples.at(-1)?.[0] ?? -1)) samples = [...samples, [min, reading.shownC]]
    if (samples.length > MOST_SAMPLES) samples = samples.filter((_, i) => i % 2 === 0)
    silentS = 0
    change({ reading, samples, trouble: troubleNow(), keeping: save !== null })
    if (save && heardMs - keptMs >= KEEP_EVERY_MS) void saveNow()
  })
  const watch = setInterval(() => {
    const quietMs = Date.now() - heardMs
    if (!state.get().reading || quietMs < SILENT_AFTER_MS) return
    silentS = Math.round(quietMs / 1000)
    change({ trouble: troubleNow() })
  }, LOOK_EVERY_MS)
  return {
    name: port.name,
    simulated,
    state: state.get,
    subscribe: state.subscribe,
    async send(commands) {
      try {
        for (const command of commands) {
          const reply = await port.send(writeCommand(command))
          if (!isTaken(command, reply)) {
            refused = { code: 'refused', reply: reply.replace(/^ERR\s*/, '') }
            change({ trouble: troubleNow() })
            return false
          }
        }
        refused = null
        change({ trouble: troubleNow() })
        return true
      } catch {
        refused = { code: simulated ? 'no-server' : 'no-answer' }
        change({ trouble: troubleNow() })
        return false
      }
    },
    async keep(to) {
      save = to
      const done = await saveNow()
      if (!done) save = null
      change({ keeping: save !== null })
      return done
    },
    async close() {
      clearInterval(watch)
      await saveNow()
      stopListening()
      await port.close()
    },
  }
}
