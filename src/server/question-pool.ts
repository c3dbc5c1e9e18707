import type { ServedName } from '../core/contract/questions'
import { type Reply, refused } from './reply'

export interface Job {
  readonly name: ServedName
  readonly request: unknown
}

/** Thread that answers one job at a time; `onEnd` is called when it ends by itself. */
export interface Thread {
  readonly post: (job: Job) => void
  readonly onReply: (told: (reply: Reply) => void) => void
  readonly onEnd: (told: () => void) => void
  readonly stop: () => void
}

export interface PoolLimits {
  readonly threads: number
  /** Questions that may wait for a thread. */
  readonly waiting: number
  /** How long one may take once it has begun, ms. */
  readonly budgetMs: number
}

/** A thread with whom it serves; nobody while it waits. */
interface Seat {
  readonly thread: Thread
  readonly giveUp: () => void
  serving: { readonly tell: Asked['tell']; readonly budget: ReturnType<typeof setTimeout> } | null
}

interface Asked {
  readonly job: Job
  readonly tell: (reply: Reply) => void
}

const BUSY = refused(503, 'busy', 'Too many questions wait already. Ask again in a few seconds.', [], {
  'retry-after': '5',
})
const FAILED = refused(500, 'internal', 'The question could not be answered. The server has nothing more to say.')
const tooSlow = (budgetMs: number) =>
  refused(
    503,
    'too-slow',
    `The question was given up after ${budgetMs / 1000} s. Ask for less at once: fewer parts, or a smaller budget.`,
    [],
    { 'retry-after': '5' },
  )

/**
 * Threads that answer questions beside the server: each question has its budget of time, those that wait have a bound, and what takes
 * longer is stopped with its thread. Answers come in the order in which threads become free.
 */
export function createQuestionPool(make: () => Thread, limits: PoolLimits) {
  const waiting: Asked[] = []
  const idle = new Set<Seat>()
  let seats = 0

  function tell(seat: Seat, reply: Reply) {
    if (!seat.serving) return
    clearTimeout(seat.serving.budget)
    seat.serving.tell(reply)
    seat.serving = null
  }

  function open(): Seat {
    const thread = make()
    const giveUp = () => {
      leave(tooSlow(limits.budgetMs))
      thread.stop()
    }
    const seat: Seat = { thread, giveUp, serving: null }
    let isGone = false
    const leave = (reply: Reply) => {
      if (isGone) return
      isGone = true
      seats -= 1
      idle.delete(seat)
      tell(seat, reply)
      next()
    }
    thread.onReply(reply => {
      if (isGone) return
      tell(seat, reply)
      idle.add(seat)
      next()
    })
    thread.onEnd(() => leave(FAILED))
    seats += 1
    return seat
  }

  function next() {
    const seat = waiting.length === 0 ? undefined : (first(idle) ?? (seats < limits.threads ? open() : undefined))
    const asked = seat && waiting.shift()
    if (!seat || !asked) return
    idle.delete(seat)
    seat.serving = { tell: asked.tell, budget: setTimeout(() => seat.giveUp(), limits.budgetMs) }
    seat.thread.post(asked.job)
  }

  return {
    ask: (job: Job, signal: AbortSignal): Promise<Reply> =>
      new Promise(resolve => {
        if (waiting.length >= limits.waiting) return resolve(BUSY)
        const asked = { job, tell: resolve }
        waiting.push(asked)
        // Whoever has gone waits for no answer; what is being worked on runs out its budget.
        signal.addEventListener('abort', () => {
          const at = waiting.indexOf(asked)
          if (at >= 0) {
            waiting.splice(at, 1)
            resolve(BUSY)
          }
        })
        next()
      }),
  }
}

const first = <T>(of: Set<T>): T | undefined => of.values().next().value
