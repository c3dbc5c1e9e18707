import { expose } from 'comlink'
import { liveQuery } from 'dexie'
import type { Result } from '../core/codes/result'
import { answerQuestion } from '../core/contract/question'
import { type Answered, QUESTIONS, type QuestionName, type Request } from '../core/contract/questions'
import { createShopMemory } from '../core/learn/shop-memory'
import { keepAnswer } from '../store/kept-answers'
import { readNewestLog, readShopLog } from '../store/shop-log'
import { type LogVersion, RESTS_ON } from './lanes'

/** The shop's log and what was learnt from it live here: they are read where they are used and never sent along. */
const memory = createShopMemory()
let version: LogVersion = { log: 0, newest: 0, learnt: 0 }
const watchers = new Set<(version: LogVersion) => void>()

/** Reads a part of the log once and follows it from there. A log that cannot be read counts as empty: the page says why. */
function follow<T>(read: () => Promise<T>, take: (log: T | null) => Partial<LogVersion>): () => Promise<void> {
  let isRead: Promise<void> | null = null
  return () => {
    isRead ??= new Promise(resolve => {
      const told = (log: T | null) => {
        version = { ...version, ...take(log) }
        for (const watcher of watchers) watcher(version)
        resolve()
      }
      liveQuery(read).subscribe({ next: told, error: () => told(null) })
    })
    return isRead
  }
}

/** What is learnt needs the newest batches alone; only what tells of the whole log has to wait until it is read. */
const FOLLOW: Readonly<Record<keyof LogVersion, () => Promise<void>>> = {
  learnt: follow(
    () => readNewestLog(memory.isEnough),
    log => (log === null || memory.teach(log) || version.learnt === 0 ? { learnt: version.learnt + 1 } : {}),
  ),
  newest: follow(
    () => readNewestLog(() => true),
    log => {
      if (log) memory.holdNewest(log)
      return { newest: version.newest + 1 }
    },
  ),
  log: follow(readShopLog, log => {
    if (log) memory.hold(log)
    return { log: version.log + 1 }
  }),
}

/** An answer is kept when nothing else was asked of its kind for so long, ms: not each one while something is dragged. */
const KEPT_AFTER_MS = 800
const toKeep = new Map<QuestionName, ReturnType<typeof setTimeout>>()

function keepSoon(name: QuestionName, input: unknown, answer: Result<unknown>) {
  clearTimeout(toKeep.get(name))
  // It was answered: the request is in the shape of its question, and the answer too.
  const keep = () => keepAnswer(name, input as Request<typeof name>, answer as Answered<typeof name>, location.pathname)
  toKeep.set(
    name,
    setTimeout(() => void keep(), KEPT_AFTER_MS),
  )
}

const door = {
  ask: async (name: QuestionName, input: unknown): Promise<Result<unknown>> => {
    const part = RESTS_ON[name]
    if (part) await FOLLOW[part]()
    const answer = answerQuestion(await QUESTIONS[name](), input, memory)
    keepSoon(name, input, answer)
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
