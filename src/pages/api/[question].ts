import type { APIRoute } from 'astro'
import { answerQuestion, type Question } from '../../core/contract/question'
import { QUESTIONS } from '../../core/contract/questions'
import { spoken } from '../../words/spoken'
import { readJson } from './_body'
import { answer, refuse, refuseBody, refuseRequest, SAY } from './_reply'

const isKnown = (name: string | undefined): name is keyof typeof QUESTIONS =>
  name !== undefined && Object.hasOwn(QUESTIONS, name)

export const POST: APIRoute = async ({ params, request }) => {
  if (!isKnown(params.question)) return unknown()
  const type = request.headers.get('content-type') ?? ''
  if (!/^application\/json\s*(;|$)/i.test(type))
    return refuse(415, 'wrong-type', 'Send the request as application/json.')
  const body = await readJson(request)
  if (!body.ok) return refuseBody(body.problems)
  const result = answerQuestion(QUESTIONS[params.question] as unknown as Question, body.value)
  return result.ok ? answer(spoken(result.value as object, SAY)) : refuseRequest(result.problems)
}

export const ALL: APIRoute = ({ params }) =>
  isKnown(params.question) ? refuse(405, 'wrong-method', 'Ask with POST.', [], { allow: 'POST' }) : unknown()

const unknown = () => refuse(404, 'unknown-path', 'There is nothing at this path. See /api/openapi.json.')
