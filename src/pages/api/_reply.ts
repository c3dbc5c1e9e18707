import type { Problem } from '../../core/codes/problem'
import { problemWords } from '../../words/problems'
import { speakerOf } from '../../words/speaker'

/** Programs outside are spoken to in base units. */
export const SAY = speakerOf('metric')

const json = (status: number, body: unknown, headers: Record<string, string> = {}) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', ...headers },
  })

export const answer = (body: unknown) => json(200, body)

/** The one shape in which every refusal comes. */
export const refuse = (
  status: number,
  code: string,
  message: string,
  problems: readonly Problem[] = [],
  headers: Record<string, string> = {},
) =>
  json(
    status,
    {
      error: {
        code,
        message,
        issues: problems.map(problem => ({
          code: problem.code,
          path: problem.path,
          message: problemWords(problem, SAY),
        })),
      },
    },
    headers,
  )

/** A body that could not be read: too long, or not JSON. */
export function refuseBody([problem]: readonly Problem[]): Response {
  if (problem?.code === 'too-long') return refuse(413, 'too-large', problemWords(problem, SAY))
  return refuse(400, problem?.code ?? 'bad-request', problem ? problemWords(problem, SAY) : '')
}

export const refuseRequest = (problems: readonly Problem[]): Response =>
  refuse(400, 'bad-request', 'The request cannot be answered as it stands.', problems)
