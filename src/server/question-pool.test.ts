import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createQuestionPool, type Job, type PoolLimits, type Thread } from './question-pool'
import { answered, type Reply } from './reply'

/** A thread in the tests' hands: it answers, ends or hangs when it is told to. */
function handThread() {
  let reply: (of: Reply) => void = () => undefined
  let end: () => void = () => undefined
  const posted: Job[] = []
  const thread: Thread & { stopped: boolean } = {
    stopped: false,
    post: job => posted.push(job),
    onReply: told => {
      reply = told
    },
    onEnd: told => {
      end = told
    },
    stop: () => {
      thread.stopped = true
      end()
    },
  }
  return { thread, posted, answers: () => reply(answered({ to: posted.at(-1)?.request })), dies: () => end() }
}

function pool(limits: Partial<PoolLimits> = {}) {
  const made: ReturnType<typeof handThread>[] = []
  const asked = createQuestionPool(
    () => {
      const one = handThread()
      made.push(one)
      return one.thread
    },
    { threads: 2, waiting: 3, budgetMs: 5000, ...limits },
  )
  const ask = (request: number, signal = new AbortController().signal) =>
    asked.ask({ name: 'predict', request }, signal).then(({ status, text }) => ({ status, ...JSON.parse(text) }))
  return { made, ask }
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('questions in threads', () => {
  it('are answered by as many threads as there are, the rest when one is free, in order', async () => {
    const { made, ask } = pool()
    const all = [1, 2, 3].map(n => ask(n))
    expect(made.map(one => one.posted.map(job => job.request))).toEqual([[1], [2]])
    made[1]?.answers()
    expect(made[1]?.posted.map(job => job.request)).toEqual([2, 3])
    made[0]?.answers()
    made[1]?.answers()
    expect(await Promise.all(all)).toEqual([1, 2, 3].map(to => ({ status: 200, to })))
    void ask(4)
    expect(made).toHaveLength(2)
  })

  it('over their time are given up with their thread, and the next gets a new one', async () => {
    const { made, ask } = pool({ threads: 1 })
    const [slow, after] = [ask(1), ask(2)]
    await vi.advanceTimersByTimeAsync(5001)
    expect(await slow).toMatchObject({ status: 503, error: { code: 'too-slow', issues: [] } })
    expect(made[0]?.thread.stopped).toBe(true)
    expect(made[1]?.posted.map(job => job.request)).toEqual([2])
    made[1]?.answers()
    expect(await after).toEqual({ status: 200, to: 2 })
  })

  it('over the bound are refused at once, and whoever has gone waits no longer', async () => {
    const { made, ask } = pool({ threads: 1 })
    const gone = new AbortController()
    const first = ask(1)
    void ask(2, gone.signal)
    void ask(3)
    void ask(4)
    expect(await ask(5)).toMatchObject({ status: 503, error: { code: 'busy' } })
    gone.abort()
    made[0]?.answers()
    await first
    expect(made[0]?.posted.map(job => job.request)).toEqual([1, 3])
    void ask(6)
    void ask(7)
    expect(await ask(8)).toMatchObject({ status: 503 })
  })

  it('whose thread ends by itself say so; a thread that ended while it waited is not asked', async () => {
    const { made, ask } = pool({ threads: 1 })
    const lost = ask(1)
    made[0]?.dies()
    expect(await lost).toMatchObject({ status: 500, error: { code: 'internal' } })
    const fine = ask(2)
    made[1]?.answers()
    await fine
    made[1]?.dies()
    void ask(3)
    expect(made[2]?.posted.map(job => job.request)).toEqual([3])
  })
})
