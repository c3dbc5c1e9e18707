import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import threadFile from 'virtual:question-thread'
import { answerOf } from './question-answer'
import { createQuestionPool, type Job, type Thread } from './question-pool'
import type { Reply } from './reply'

const LIMITS = { threads: Math.min(4, Math.max(1, availableParallelism() - 1)), waiting: 40, budgetMs: 5000 }
/** Memory a question may take before its thread is ended, MB. */
const MOST_MEMORY_MB = 512

function startThread(file: string): Thread {
  const worker = new Worker(new URL(file), { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB } })
  // A thread that only waits keeps nobody from stopping the server.
  worker.unref()
  worker.on('error', error => console.error('A question’s thread ended:', error.message))
  return {
    post: job => worker.postMessage(job),
    onReply: told => worker.on('message', told),
    onEnd: told => worker.on('exit', told),
    stop: () => void worker.terminate(),
  }
}

const poolIn = (file: string) => createQuestionPool(() => startThread(file), LIMITS)
const pool = threadFile === null ? null : poolIn(threadFile)

/** Answers in a thread of its own; in development, where none is built, at once and without a budget. */
export const askQuestion = (job: Job, signal: AbortSignal): Promise<Reply> =>
  pool ? pool.ask(job, signal) : answerOf(job.name, job.request)
