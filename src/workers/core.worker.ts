import { expose } from 'comlink'
import { liveQuery } from 'dexie'
import type { Result } from '../core/codes/result'
import { answerQuestion } from '../core/contract/question'
import { QUESTIONS, type QuestionName } from '../core/contract/questions'
import { createShopMemory } from '../core/learn/shop-memory'
import { readShopLog } from '../store/shop-log'
import { type LogVersion, RESTS_ON } from './lanes'

/** The shop's log and what was learnt from it live here: they are read where they are used and never sent along. */
const memory = createShopMemory()
let version: LogVersion = { log: 0, learnt: 0 }
const watchers = new Set<(version: LogVersion) => void>()
let isRead: Promise<void> | null = null

/** Reads the log once and follows it from there. A log that cannot be read counts as empty: the page says why. */
function followLog(): Promise<void> {
  isRead ??= new Promise(resolve => {
    const told = (learntAnew: boolean) => {
      version = { log: version.log + 1, learnt: version.learnt + (learntAnew ? 1 : 0) }
      for (const watcher of watchers) watcher(version)
      resolve()
    }
    liveQuery(readShopLog).subscribe({
      next: log => told(memory.keep(log) || version.learnt === 0),
      error: () => told(true),
    })
  })
  return isRead
}

const door = {
  ask: async (name: QuestionName, input: unknown): Promise<Result<unknown>> => {
    if (RESTS_ON[name]) await followLog()
    return answerQuestion(await QUESTIONS[name](), input, memory)
  },
  /** Tells the version of the log now and whenever it changes. */
  watchLog: async (watcher: (version: LogVersion) => void): Promise<void> => {
    await followLog()
    watchers.add(watcher)
    watcher(version)
  },
}

export type CoreDoor = typeof door
expose(door)
