import { proxy } from 'comlink'
import { fail, type Result } from '../core/codes/result'
import type { Answered, QuestionName, Request } from '../core/contract/questions'
import { createSubscribable, type Subscribable } from '../core/subscribable'
import type { CoreDoor } from './core.worker'
import workerUrl from './core.worker.ts?worker&url'
import { createLane, type Lane } from './lane'
import { type LaneName, type LogVersion, laneNameOf, RESTS_ON } from './lanes'
import { type OpenWorker, openWorker } from './open-worker'
import { awaited } from './waited-for'

/** A worker with its questions in a row, and the version of the log it has read; null until it has. */
interface Door extends Lane {
  readonly logVersion: Subscribable<LogVersion | null>
  readonly watchLog: (part: keyof LogVersion) => void
  /** Starts the worker and fetches what answers a question. */
  readonly warmUp: (name: QuestionName) => void
}

function openDoor(): Door {
  const logVersion = createSubscribable<LogVersion | null>(null)
  let started: OpenWorker<CoreDoor> | null = null
  const watched = new Set<keyof LogVersion>()

  const start = () => {
    if (started) return started
    const worker = openWorker<CoreDoor>(new Worker(workerUrl, { type: 'module' }))
    // After a worker that could not be loaded the next question tries again.
    worker.broken.catch(() => {
      started = null
      watched.clear()
    })
    started = worker
    return worker
  }

  return {
    ...createLane((name, request, place) => {
      const { door, broken } = start()
      return Promise.race([door.ask(name, request, place) as Promise<Result<unknown>>, broken])
    }),
    logVersion,
    watchLog: part => {
      if (watched.has(part)) return
      watched.add(part)
      const { door, broken } = start()
      // Without its version nothing could be asked: a log that is never read counts as empty.
      Promise.race([door.watchLog(part, proxy(logVersion.set)), broken]).catch(() =>
        logVersion.set({ log: 1, newest: 1, learnt: 1 }),
      )
    },
    warmUp: name => {
      // What cannot be fetched is said when it is asked.
      start()
        .door.fetch(name)
        .catch(() => undefined)
    },
  }
}

const doors = new Map<LaneName, Door>()

/** The door a question is answered behind; its worker is started with the first question. */
export function doorOf(name: QuestionName): Door {
  const lane = laneNameOf(name)
  const door = doors.get(lane) ?? openDoor()
  doors.set(lane, door)
  return door
}

/**
 * Readies a worker for a question that a page is about to ask: while the page is made it starts, fetches what answers, and reads what
 * of the log the answer rests on.
 */
export function warmUp(name: QuestionName): void {
  const door = doorOf(name)
  door.warmUp(name)
  const part = RESTS_ON[name]
  if (part) door.watchLog(part)
}

/**
 * Asks the core in its worker: the same table and shapes as over HTTP. Rejects when no worker answers, or on an abort. For a place on
 * the page the last answer is kept for its next visit.
 */
export const ask = <N extends QuestionName>(
  name: N,
  request: Request<N>,
  { signal, place }: { readonly signal?: AbortSignal; readonly place?: string } = {},
): Promise<Answered<N>> => awaited(doorOf(name).ask(name, request, { signal, place }) as Promise<Answered<N>>)

/** The same for what is asked once, at the press of a key: a worker that does not answer is a problem like any other. */
export const askOnce = <N extends QuestionName>(name: N, request: Request<N>): Promise<Answered<N>> =>
  ask(name, request).catch(() => fail('worker-failed', {}))
