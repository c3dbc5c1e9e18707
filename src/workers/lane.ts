import type { Result } from '../core/codes/result'
import type { QuestionName } from '../core/contract/questions'

/** One question that waits for its turn. */
interface Waiting {
  readonly name: QuestionName
  readonly request: unknown
  readonly signal: AbortSignal | undefined
  readonly place: string | null
  readonly resolve: (answer: Result<unknown>) => void
  readonly reject: (reason: unknown) => void
}

/** Who asks: `signal` tells that nobody waits any more, `place` is where on the page the answer stands. */
export interface AskedFrom {
  readonly signal?: AbortSignal | undefined
  readonly place?: string | undefined
}

export interface Lane {
  /** Rejects where nobody waits for the answer any more, or where it could not be worked out at all. */
  readonly ask: (name: QuestionName, request: unknown, from?: AskedFrom) => Promise<Result<unknown>>
}

/**
 * Questions one after another. What nobody waits for any more when its turn comes is never asked: of a value that is dragged only
 * the newest is worked out.
 */
export function createLane(
  answer: (name: QuestionName, request: unknown, place: string | null) => Promise<Result<unknown>>,
): Lane {
  const queue: Waiting[] = []
  let busy = false

  const next = async () => {
    const waiting = queue.shift()
    if (!waiting) {
      busy = false
      return
    }
    busy = true
    if (waiting.signal?.aborted) waiting.reject(waiting.signal.reason)
    else await answer(waiting.name, waiting.request, waiting.place).then(waiting.resolve, waiting.reject)
    void next()
  }

  return {
    ask: (name, request, { signal, place = null } = {}) =>
      new Promise((resolve, reject) => {
        queue.push({ name, request, signal, place, resolve, reject })
        if (!busy) void next()
      }),
  }
}
