import { useEffect, useMemo, useState } from 'react'
import { fail, type Result } from '../core/codes/result'
import type { LocalAnswer, LocalQuestionName, LocalRequest } from '../core/contract/questions/local'
import { ask } from './client'

/**
 * The worker's answer to a question, asked again when the request changes. While a new one is computed the last
 * answer stays; undefined before the first. A null request asks nothing. A large request is worth keeping in a memo: it
 * is compared by its text only when it is another object.
 */
export function useAnswer<N extends LocalQuestionName>(
  name: N,
  request: LocalRequest<N> | null,
): Result<LocalAnswer<N>> | undefined {
  const [answer, setAnswer] = useState<Result<LocalAnswer<N>>>()
  const key = useMemo(() => (request === null ? null : JSON.stringify(request)), [request])
  useEffect(() => {
    if (key === null) return
    let current = true
    ask(name, JSON.parse(key) as LocalRequest<N>).then(
      value => {
        if (current) setAnswer(value)
      },
      () => {
        if (current) setAnswer(fail('worker-failed', {}))
      },
    )
    return () => {
      current = false
    }
  }, [name, key])
  return answer
}
