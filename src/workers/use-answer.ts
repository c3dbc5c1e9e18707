import { keepPreviousData, QueryClient, useQuery } from '@tanstack/react-query'
import { useEffect, useId, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { fail } from '../core/codes/result'
import type { Answered, QuestionName, Request } from '../core/contract/questions'
import type { Subscribable } from '../core/subscribable'
import { type AnswerBefore, isAnyKeptOf, isTold, keptAnswer } from '../store/kept-answers'
import { logStamp, readLogStamp } from '../store/log-stamp'
import { ask, doorOf, warmUp } from './client'
import workerUrl from './core.worker.ts?worker&url'
import { RESTS_ON } from './lanes'
import { whenIdle } from './when-idle'

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
  useAsked(name, request, true).answer

/** The same, but undefined until this very question is answered: for what must not be acted on while it is still another's. */
export const useExactAnswer = <N extends QuestionName>(name: N, request: Request<N> | null): Answered<N> | undefined =>
  useAsked(name, request, false).answer

/** Answer, and whether it is of an earlier visit and so of things as they were then. */
export interface Told<N extends QuestionName> {
  readonly answer: Answered<N> | undefined
  readonly isOfBefore: boolean
}

/** The same as `useAnswer`, for what must not be acted on as it was on an earlier visit. */
export const useTold = <N extends QuestionName>(name: N, request: Request<N> | null): Told<N> =>
  useAsked(name, request, true)

/** A page that was looked at so long may be changed next, ms. */
const LOOKED_AT_MS = 4000

/**
 * Readies the workers for what a page is about to ask: at once, or, where it has something to draw before, when it was looked at for a
 * while: what was told of its subject on the last visit, or, of a page without one, anything the log was answered from as it stands.
 */
export function useWarmUp(names: readonly QuestionName[], about?: string): void {
  // A page asks the same all its life.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the names are written where it is called.
  useEffect(() => {
    const ready = () => names.forEach(warmUp)
    const timer = setTimeout(ready, LOOKED_AT_MS)
    const isKept =
      about === undefined
        ? readLogStamp().then(stamp => stamp !== null && isAnyKeptOf(stamp))
        : Promise.all(names.map(name => isTold(name, about, workerUrl))).then(told => told.every(Boolean))
    void isKept.catch(() => false).then(kept => kept || ready())
    return () => clearTimeout(timer)
  }, [])
}

function useAsked<N extends QuestionName>(name: N, request: Request<N> | null, keepsLast: boolean): Told<N> {
  const text = useMemo(() => (request === null ? null : JSON.stringify(request)), [request])
  const kept = useKept(name, request)
  const stamp = useLogStamp(name)
  // Nothing that it rests on has changed since: no worker could say anything else.
  const isKept = kept ? kept.asked === text && (!RESTS_ON[name] || (stamp !== null && kept.stamp === stamp)) : false
  const isDrawn = useDrawnFirst(keepsLast && kept !== null && kept !== undefined)
  const isAsked = text !== null && kept !== undefined && stamp !== undefined && !isKept && isDrawn
  const version = useVersion(name, isAsked)
  const place = `${name} ${useId()}`
  // It may come while the worker is at work.
  const drawn = useRef(kept)
  drawn.current = kept
  const { data, error } = useQuery(
    {
      queryKey: [name, version, text],
      enabled: isAsked && version !== null,
      queryFn: async ({ signal }) => {
        const answer = await ask(name, request as Request<N>, { signal, place })
        // What is shown already is not drawn again.
        const was = drawn.current?.answer
        return was && JSON.stringify(was) === JSON.stringify(answer) ? was : answer
      },
      ...(keepsLast ? { placeholderData: keepPreviousData } : {}),
    },
    answers,
  )
  const before = keepsLast ? kept?.answer : undefined
  const found = isKept ? kept?.answer : data
  const isFailed = error !== null && !isKept
  return useMemo(() => {
    if (isFailed) return { answer: fail('worker-failed', {}), isOfBefore: false }
    return found ? { answer: found, isOfBefore: false } : { answer: before, isOfBefore: before !== undefined }
  }, [isFailed, found, before])
}

/** Time the store is searched before a worker is asked, ms: longer than a slow tablet's storage takes. */
const LOOKED_FOR_MS = 1000

/** The answer of the last visit to what a page asks first; undefined while it is looked for, null where none was kept. */
function useKept<N extends QuestionName>(name: N, request: Request<N> | null): AnswerBefore<N> | null | undefined {
  const [kept, setKept] = useState<AnswerBefore<N> | null>()
  const wasLooked = useRef(false)
  useEffect(() => {
    if (request === null || wasLooked.current) return
    wasLooked.current = true
    // A store that never answers, as where another tab holds it, must not keep the question from being asked.
    const timer = setTimeout(() => setKept(was => was ?? null), LOOKED_FOR_MS)
    void keptAnswer(name, request, workerUrl).then(found => {
      clearTimeout(timer)
      setKept(found)
    })
  }, [name, request])
  return kept
}

/** Longest time the last visit's answer is drawn before a worker is asked anew, ms: on a slow tablet both would compete. */
const DRAWN_FIRST_MS = 500

/** Whether what is drawn before a worker has answered is drawn; at once where there is nothing to draw. */
function useDrawnFirst(isThere: boolean): boolean {
  const [isDrawn, setDrawn] = useState(false)
  useEffect(() => (isThere ? whenIdle(() => setDrawn(true), DRAWN_FIRST_MS) : undefined), [isThere])
  return isDrawn || !isThere
}

/** The stamp of the log, for a question that rests on it; undefined until it was read, null for what rests on none. */
function useLogStamp(name: QuestionName): string | null | undefined {
  const stamps = RESTS_ON[name] ? logStamp : NO_STAMP
  return useSyncExternalStore(stamps.subscribe, stamps.get, () => undefined)
}
const NO_STAMP: Subscribable<null> = { get: () => null, subscribe: () => () => undefined }

/** How often what a question rests on has changed; null until the log was read, 0 for what rests on none. */
function useVersion(name: QuestionName, isAsked: boolean): number | null {
  const part = RESTS_ON[name]
  const { logVersion, watchLog } = doorOf(name)
  useEffect(() => {
    if (part && isAsked) watchLog(part)
  }, [part, isAsked, watchLog])
  const version = useSyncExternalStore(logVersion.subscribe, logVersion.get, () => null)
  // 0: that part was not read yet.
  return part ? version?.[part] || null : 0
}
