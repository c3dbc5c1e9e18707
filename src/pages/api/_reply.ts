import type { Problem } from '../../core/result'

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
    { error: { code, message, issues: problems.map(({ path, message: text }) => ({ path, message: text })) } },
    headers,
  )
