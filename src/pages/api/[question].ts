import type { APIRoute } from 'astro'
import { isServed } from '../../core/contract/questions'
import { askQuestion } from '../../server/questions'
import { refuse, refuseBody, respond } from '../../server/reply'
import { readJson } from './_body'

export const POST: APIRoute = async ({ params, request }) => {
  if (!isServed(params.question)) return unknown()
  const type = request.headers.get('content-type') ?? ''
  if (!/^application\/json\s*(;|$)/i.test(type))
    return refuse(415, 'wrong-type', 'Send the request as application/json.')
  const body = await readJson(request)
  if (!body.ok) return refuseBody(body.problems)
  return respond(await askQuestion({ name: params.question, request: body.value }, request.signal))
}

export const ALL: APIRoute = ({ params }) =>
  isServed(params.question) ? refuse(405, 'wrong-method', 'Ask with POST.', [], { allow: 'POST' }) : unknown()

const unknown = () => refuse(404, 'unknown-path', 'There is nothing at this path. See /api/openapi.json.')
