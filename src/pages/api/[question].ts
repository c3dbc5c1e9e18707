import type { APIRoute } from 'astro'
import { answerQuestion } from '../../core/contract/question'
import { isServed, QUESTIONS } from '../../core/contract/questions'
import { createShopMemory } from '../../core/learn/shop-memory'
import { spoken } from '../../words/spoken'
import { readJson } from './_body'
import { answer, refuse, refuseBody, refuseRequest, SAY } from './_reply'

/** No shop's log is on the server: predictions over HTTP are those of the charts. */
const NO_LOG = createShopMemory()

export const POST: APIRoute = async ({ params, request }) => {
  if (!isServed(params.question)) return unknown()
  const type = request.headers.get('content-type') ?? ''
  if (!/^application\/json\s*(;|$)/i.test(type))
    return refuse(415, 'wrong-type', 'Send the request as application/json.')
  const body = await readJson(request)
  if (!body.ok) return refuseBody(body.problems)
  const result = answerQuestion(await QUESTIONS[params.question](), body.value, NO_LOG)
  return result.ok ? answer(spoken(result.value as object, SAY)) : refuseRequest(result.problems)
}

export const ALL: APIRoute = ({ params }) =>
  isServed(params.question) ? refuse(405, 'wrong-method', 'Ask with POST.', [], { allow: 'POST' }) : unknown()

const unknown = () => refuse(404, 'unknown-path', 'There is nothing at this path. See /api/openapi.json.')
