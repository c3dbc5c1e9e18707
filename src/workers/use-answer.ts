import { keepPreviousData, QueryClient, useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { fail } from '../core/codes/result'
import type { Answered, QuestionName, Request } from '../core/contract/questions'
import { keptAnswer } from '../store/kept-answers'
import { ask, doorOf, warmUp } from './client'
import workerUrl from './core.worker.ts?worker&url'
import { RESTS_ON } from './lanes'

/** Answers by what was asked: the same question is answered once, and kept while it may be asked again. */
const answers = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: Number.POSITIVE_INFINITY,
      gcTime: 120_000,
      retry: false,
      networkMode: 'always',
      refetchOnWindowFocus: false,
      structuralSharing: false,
      queryKeyHashFn: key => key.join(' '),
    },
  },
})

/**
 * The answer to a question, asked again when the request changes, or what of the shop's log it rests on. While a new one is worked
 * out the last answer stays; undefined before the first. A null request asks nothing. A large request is worth keeping in a memo:
 * it is compared by its text only when it is another object.
 */
export const useAnswer = <N extends QuestionName>(name: N, request: Request<N> | null): Answered<N> | undefined =>
  useAsked(name, request, true)

/** The same, but undefined until this very question is answered: for what must not be acted on while it is still another's. */
export const useExactAnswer = <N extends QuestionName>(name: N, request: Request<N> | null): Answered<N> | undefined =>
  useAsked(name, request, false)

/** Readies the workers for what a page is about to ask. */
export function useWarmUp(...names: readonly QuestionName[]): void {
  // A page asks the same all its life.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the names are written where it is called.
  useEffect(() => names.forEach(warmUp), [])
}

function useAsked<N extends QuestionName>(
  name: N,
  request: Request<N> | null,
  keepsLast: boolean,
): Answered<N> | undefined {
  const text = useMemo(() => (request === null ? null : JSON.stringify(request)), [request])
  const version = useVersion(name)
  const kept = useKept(name, keepsLast ? request : null)
  // It may come while the worker is at work.
  const drawn = useRef(kept)
  drawn.current = kept
  const { data, error } = useQuery(
    {
      queryKey: [name, version, text],
      enabled: text !== null && version !== null,
      queryFn: async ({ signal }) => {
        const answer = await ask(name, request as Request<N>, signal)
        // What is shown already is not drawn again.
        return drawn.current && JSON.stringify(drawn.current) === JSON.stringify(answer) ? drawn.current : answer
      },
      ...(keepsLast ? { placeholderData: keepPreviousData } : {}),
    },
    answers,
  )
  return error ? fail('worker-failed', {}) : (data ?? kept)
}

/** The answer of the last visit to what a page asks first; undefined where none was kept. */
function useKept<N extends QuestionName>(name: N, request: Request<N> | null): Answered<N> | undefined {
  const [kept, setKept] = useState<Answered<N>>()
  const wasLooked = useRef(false)
  useEffect(() => {
    if (request === null || wasLooked.current) return
    wasLooked.current = true
    void keptAnswer(name, request, workerUrl).then(found => found && setKept(found))
  }, [name, request])
  return kept
}

/** How often what a question rests on has changed; null until the log was read, 0 for what rests on none. */
function useVersion(name: QuestionName): number | null {
  const part = RESTS_ON[name]
  const { logVersion, watchLog } = doorOf(name)
  useEffect(() => {
    if (part) watchLog(part)
  }, [part, watchLog])
  const version = useSyncExternalStore(logVersion.subscribe, logVersion.get, () => null)
  // 0: that part was not read yet.
  return part ? version?.[part] || null : 0
}
