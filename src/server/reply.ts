import type { Problem } from '../core/codes/problem'
import { problemWords } from '../words/problems'
import { speakerOf } from '../words/speaker'

/** Programs outside are spoken to in base units. */
export const SAY = speakerOf('metric')

/** An answer as text, which goes from a thread to the server as it stands. */
export interface Reply {
  readonly status: number
  /** JSON. */
  readonly text: string
  readonly headers: Readonly<Record<string, string>>
}

const reply = (status: number, body: unknown, headers: Reply['headers'] = {}): Reply => ({
  status,
  text: JSON.stringify(body),
  headers,
})

export const answered = (body: unknown): Reply => reply(200, body)

/** The one shape in which every refusal comes. */
export const refused = (
  status: number,
  code: string,
  message: string,
  problems: readonly Problem[] = [],
  headers: Reply['headers'] = {},
): Reply =>
  reply(
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

export const requestRefused = (problems: readonly Problem[]): Reply =>
  refused(400, 'bad-request', 'The request cannot be answered as it stands.', problems)

export const respond = ({ status, text, headers }: Reply): Response =>
  new Response(text, { status, headers: { 'content-type': 'application/json; charset=utf-8', ...headers } })

export const answer = (body: unknown) => respond(answered(body))
export const refuse = (...of: Parameters<typeof refused>) => respond(refused(...of))
export const refuseRequest = (problems: readonly Problem[]) => respond(requestRefused(problems))

/** A body that could not be read: too long, or not JSON. */
export function refuseBody([problem]: readonly Problem[]): Response {
  if (problem?.code === 'too-long') return refuse(413, 'too-large', problemWords(problem, SAY))
  return refuse(400, problem?.code ?? 'bad-request', problem ? problemWords(problem, SAY) : '')
}
