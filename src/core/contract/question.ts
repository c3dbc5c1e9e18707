import type * as z from 'zod/mini'
import type { Result } from '../codes/result'
import type { ShopMemory } from '../learn/shop-memory'
import { problemsOf } from '../shop/problems'
import type { ReadOnly } from '../shop/read-only'
import { findGrade } from '../steel/grades'
import type { Steel } from '../steel/steel'
import type { steelSchema } from './shapes'

/** One question the core answers, with the shapes that guard both sides of its door. */
export interface Question<
  Request extends z.ZodMiniType = z.ZodMiniType,
  Response extends z.ZodMiniType = z.ZodMiniType,
  Answer extends ReadOnly<z.infer<Response>> = ReadOnly<z.infer<Response>>,
> {
  readonly summary: string
  readonly request: Request
  readonly response: Response
  /** `memory`: the shop's log where the question is answered; over HTTP there is nothing in it. */
  readonly answer: (request: z.infer<Request>, memory: ShopMemory) => Result<Answer>
}

/** Ties a question's answer to its shapes. */
export const question = <Q extends z.ZodMiniType, R extends z.ZodMiniType, A extends ReadOnly<z.infer<R>>>(
  q: Question<Q, R, A>,
): Question<Q, R, A> => q

/** A question of any kind, as a door holds it: what comes in and goes out is only known by its shapes. */
export interface AnyQuestion {
  readonly summary: string
  readonly request: z.ZodMiniType
  readonly response: z.ZodMiniType
  // biome-ignore lint/suspicious/noExplicitAny: the request was parsed by the shape beside it.
  readonly answer: (request: any, memory: ShopMemory) => Result<unknown>
}

/** A steel as it is given at a door, as the core knows it. */
export function steelOf(given: z.infer<typeof steelSchema>): Steel {
  if ('composition' in given) return given
  if ('sheet' in given) return given.sheet
  const grade = findGrade(given.grade)
  // The schema admits shipped grades alone.
  if (!grade) throw new RangeError(`unknown grade ${given.grade}`)
  return grade
}

/**
 * Parses what came through a door, answers it, and parses the answer: nothing goes out that its shape does not promise. Bad input
 * comes back as problems; an answer out of shape is a fault of ours and throws.
 */
export function answerQuestion(asked: AnyQuestion, input: unknown, memory: ShopMemory): Result<unknown> {
  const parsed = asked.request.safeParse(input)
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error, input) }
  const answer = asked.answer(parsed.data, memory)
  return answer.ok ? { ok: true, value: asked.response.parse(answer.value) } : answer
}
