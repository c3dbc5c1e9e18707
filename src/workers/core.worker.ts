import { expose } from 'comlink'
import { liveQuery } from 'dexie'
import type { Result } from '../core/codes/result'
import { answerQuestion } from '../core/contract/question'
import { type Answered, QUESTIONS, type QuestionName, type Request } from '../core/contract/questions'
import { createShopMemory, type ShopLog } from '../core/learn/shop-memory'
import { keepAnswer } from '../store/kept-answers'
import { readNewestLog, readShopLog, type StampedLog } from '../store/shop-log'
import { type LogVersion, RESTS_ON } from './lanes'

/** The shop's log and what was learnt from it live here: they are read where they are used and never sent along. */
const memory = createShopMemory()
let version: LogVersion = { log: 0, newest: 0, learnt: 0 }
const watchers = new Set<(version: LogVersion) => void>()

/** The stamp of the log as each part was read last. */
const stamps: Partial<Record<keyof LogVersion, string | null>> = {}

/** Reads a part of the log once and follows it from there. A log that cannot be read counts as empty: the page says why. */
function follow(
  part: keyof LogVersion,
  read: () => Promise<StampedLog>,
  take: (log: ShopLog | null) => number,
): () => Promise<void> {
  let isRead: Promise<void> | null = null
  return () => {
    isRead ??= new Promise(resolve => {
      const told = ({ log, stamp }: StampedLog | { readonly log: null; readonly stamp: null }) => {
        version = { ...version, [part]: take(log) }
        stamps[part] = stamp
        for (const watcher of watchers) watcher(version)
        resolve()
      }
      liveQuery(read).subscribe({ next: told, error: () => told({ log: null, stamp: null }) })
    })
    return isRead
  }
}

/** Batches whose readings the Logbook shows while the rest of the log is read: a window of them, and few enough to be kept. */
const SHOWN_FIRST = 16

/** Ways to bring a worker up to the log: learning needs only the newest batches; answers about the whole log wait until it is read. */
const FOLLOW: Readonly<Record<keyof LogVersion, () => Promise<void>>> = {
  learnt: follow(
    'learnt',
    () => readNewestLog(memory.isEnough),
    log => (log === null || memory.teach(log) || version.learnt === 0 ? version.learnt + 1 : version.learnt),
  ),
  newest: follow(
    'newest',
    () => readNewestLog(() => true, SHOWN_FIRST),
    log => {
      if (log) memory.holdNewest(log)
      return version.newest + 1
    },
  ),
  log: follow('log', readShopLog, log => {
    if (log) memory.hold(log)
    return version.log + 1
  }),
}

/** An answer is kept when nothing else was asked for the same place so long, ms: not each one while something is dragged. */
const KEPT_AFTER_MS = 800
const toKeep = new Map<string, ReturnType<typeof setTimeout>>()

function keepSoon(place: string, keep: () => Promise<void>) {
  clearTimeout(toKeep.get(place))
  const timer = setTimeout(() => {
    toKeep.delete(place)
    void keep()
  }, KEPT_AFTER_MS)
  toKeep.set(place, timer)
}

const door = {
  /** Answers; for a place on the page, the last answer is kept for its next visit. */
  ask: async (name: QuestionName, input: unknown, place: string | null): Promise<Result<unknown>> => {
    const part = RESTS_ON[name]
    if (part) await FOLLOW[part]()
    const question = await QUESTIONS[name]()
    const stamp = part ? (stamps[part] ?? null) : null
    const answer = answerQuestion(question, input, memory)
    // It was answered: the request is in the shape of its question, and the answer too.
    const [request, found] = [input as Request<typeof name>, { answer: answer as Answered<typeof name>, stamp }]
    if (place !== null) keepSoon(place, () => keepAnswer(name, request, found, location.pathname))
    return answer
  },
  /** Fetches what answers a question, before it is asked. */
  fetch: async (name: QuestionName): Promise<void> => {
    await QUESTIONS[name]()
  },
  /** Reads a part of the log, and tells its version now and whenever it changes. */
  watchLog: async (part: keyof LogVersion, watcher: (version: LogVersion) => void): Promise<void> => {
    await FOLLOW[part]()
    watchers.add(watcher)
    watcher(version)
  },
}

export type CoreDoor = typeof door
expose(door)
