import { parentPort } from 'node:worker_threads'
import { answerOf } from './question-answer'
import type { Job } from './question-pool'

/** A thread of its own for questions: one at a time, so that the server stays free and a long one can be stopped. */
parentPort?.on('message', async ({ name, request }: Job) => {
  parentPort?.postMessage(await answerOf(name, request))
})
