import type { z } from 'zod'
import type { Result } from '../codes/result'
import { problemsOf } from '../shop/problems'
import { findGrade } from '../steel/grades'
import type { Steel } from '../steel/steel'
import type { steelSchema } from './api'

/** One question the core answers, with the shapes that guard both sides of its door. */
export interface Question<
  Request extends z.ZodType = z.ZodType,
  Response extends z.ZodType = z.ZodType,
  Answer extends z.infer<Response> = z.infer<Response>,
> {
  readonly summary: string
  readonly request: Request
  readonly response: Response
  readonly answer: (request: z.infer<Request>) => Result<Answer>
}

/** Ties a question's answer to its shapes. */
export const question = <Q extends z.ZodType, R extends z.ZodType, A extends z.infer<R>>(
  q: Question<Q, R, A>,
): Question<Q, R, A> => q

/** A steel as it is given at a door, as the core knows it. */
export function steelOf(given: z.infer<typeof steelSchema>): Steel {
  if ('composition' in given) return given
  if ('sheet' in given) return given.sheet
  const grade = findGrade(given.grade)
  // The schema admits shipped grades alone.
  if (!grade) throw new RangeError(`unknown grade ${given.grade}`)
  return grade
}

/** Parses what came through a door and answers it; bad input comes back as problems, never as an exception. */
export function answerQuestion(asked: Question, input: unknown): Result<unknown> {
  const parsed = asked.request.safeParse(input)
  return parsed.success ? asked.answer(parsed.data) : { ok: false, problems: problemsOf(parsed.error, input) }
}
