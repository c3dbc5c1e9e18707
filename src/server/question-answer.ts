import { answerQuestion } from '../core/contract/question'
import { QUESTIONS, type ServedName } from '../core/contract/questions'
import { createShopMemory } from '../core/learn/shop-memory'
import { spoken } from '../words/spoken'
import { answered, type Reply, requestRefused, SAY } from './reply'

/** No shop's log is on the server: predictions over HTTP are those of the charts. */
const NO_LOG = createShopMemory()

/** A question's answer as it goes out, its codes with their sentences. */
export async function answerOf(name: ServedName, request: unknown): Promise<Reply> {
  const result = answerQuestion(await QUESTIONS[name](), request, NO_LOG)
  return result.ok ? answered(spoken(result.value as object, SAY)) : requestRefused(result.problems)
}
