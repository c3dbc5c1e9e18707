import type { Result } from '../core/codes/result'
import type { QuestionName } from '../core/contract/questions'

/** One question that waits for its turn. */
interface Waiting {
  readonly name: QuestionName
  readonly request: unknown
  readonly signal: AbortSignal | undefined
  readonly resolve: (answer: Result<unknown>) => void
  readonly reject: (reason: unknown) => void
}

export interface Lane {
  /** Rejects where nobody waits for the answer any more, or where it could not be worked out at all. */
  readonly ask: (name: QuestionName, request: unknown, signal?: AbortSignal) => Promise<Result<unknown>>
}

/**
 * Questions one after another. What nobody waits for any more when its turn comes is never asked: of a value that is dragged only
 * the newest is worked out.
 */
export function createLane(answer: (name: QuestionName, request: unknown) => Promise<Result<unknown>>): Lane {
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
    else await answer(waiting.name, waiting.request).then(waiting.resolve, waiting.reject)
    void next()
  }

  return {
    ask: (name, request, signal) =>
      new Promise((resolve, reject) => {
        queue.push({ name, request, signal, resolve, reject })
        if (!busy) void next()
      }),
  }
}
