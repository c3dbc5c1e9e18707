import { ovenPreset } from '../core/oven/presets'
import { OVEN_BUILDS } from '../data/ovens'
import { createOvenController, type SimulatedController } from './oven-controller'

interface Session {
  readonly controller: SimulatedController
  lastMs: number
}

const MOST_SESSIONS = 32
/** A stand-in asked for within this is in use: no other takes its place, ms. */
const IN_USE_MS = 60_000
/** A stand-in nobody asks for is dropped, ms. */
const IDLE_MS = 3_600_000
/** However long nobody looked, no more than this is caught up at once, s of its own clock. */
const MOST_CATCH_UP_S = 12 * 3600

const sessions = new Map<string, Session>()

/** The stand-in of a session as it is now, for who only listens; null where no line was ever sent to it. */
export const knownController = (id: string, nowMs: number): SimulatedController | null =>
  sessions.has(id) ? controllerOf(id, nowMs) : null

/** The stand-in of a session, brought up to now; made on first use. Null where as many as there may be are in use. */
export function controllerOf(id: string, nowMs: number, size = 'medium'): SimulatedController | null {
  for (const [key, session] of sessions) if (nowMs - session.lastMs > IDLE_MS) sessions.delete(key)
  let session = sessions.get(id)
  if (!session) {
    // The longest unused gives way.
    if (sessions.size >= MOST_SESSIONS) {
      const [oldest, { lastMs }] = [...sessions].reduce((a, b) => (b[1].lastMs < a[1].lastMs ? b : a))
      if (nowMs - lastMs < IN_USE_MS) return null
      sessions.delete(oldest)
    }
    const { name, powerW, chamberMm } = ovenPreset(size)
    session = { controller: createOvenController({ powerW, chamberMm, build: OVEN_BUILDS[name] }), lastMs: nowMs }
    sessions.set(id, session)
  }
  const { controller } = session
  controller.advance(Math.min(MOST_CATCH_UP_S, (Math.max(0, nowMs - session.lastMs) / 1000) * controller.speed()))
  session.lastMs = nowMs
  return controller
}
