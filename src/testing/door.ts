import type { Result } from '../core/codes/result'
import { answerQuestion } from '../core/contract/question'
import { QUESTIONS, type QuestionName } from '../core/contract/questions'
import { createShopMemory, type ShopLog } from '../core/learn/shop-memory'
import { createSubscribable } from '../core/subscribable'

const memory = createShopMemory()

/** Gives the stand-in for the worker the shop's log. */
export const keepLog = (log: ShopLog): boolean => memory.keep(log)

/**
 * The core's door without a worker, to stand in the place of `workers/client`: the same table, the same shapes on both sides, asked
 * in this thread.
 */
export function doorInThread() {
  const ask = async (name: QuestionName, request: unknown): Promise<Result<unknown>> =>
    // What crosses to a worker is copied: a view that held on to an object would be found out.
    answerQuestion(await QUESTIONS[name](), structuredClone(request), memory)
  return {
    ask,
    askOnce: ask,
    warmUp: () => undefined,
    doorOf: () => ({ ask, logVersion: createSubscribable({ log: 1, newest: 1, learnt: 1 }), watchLog: () => {} }),
  }
}
