import { useCallback, useEffect, useMemo, useState } from 'react'
import type { Problem } from '../../core/codes/problem'
import type { Answer } from '../../core/contract/questions'
import { useExactAnswer } from '../../workers/use-answer'
import type { DayAsked, DayRequest } from './day-request'

/** Work for a first plan, for a better one and for the best: a tenth of a second, some tenths, and about one. */
const FIRST_VISITS = 60_000
const BETTER_VISITS = 300_000
export const BEST_VISITS = 1_500_000
export const SEARCH_STEPS = 3

const NONE: readonly Problem[] = []

interface DaySearch {
  /** The best plan so far; null: none yet. */
  readonly answer: Answer<'day'> | null
  readonly problems: readonly Problem[]
  /** No better plan is looked for. */
  readonly isDone: boolean
  /** How many of the search's steps are done, of SEARCH_STEPS. */
  readonly searched: number
  /** The plan there is will do. */
  readonly stopSearch: () => void
}

/** The day as a question with so much work; null where nothing is to be asked. */
export const withVisits = ({ request }: DayAsked, visits: number, isAsked = true): DayRequest | null =>
  isAsked && request.batches.length > 0 ? { ...request, visits } : null

/**
 * Plans of a day, each better than the one before, until none is sooner, the work allowed is done, or the maker takes what there is.
 * `basis`: another object whenever the plan is of something else than before, but for the clock: as only that goes on, the plan that is
 * shown stays until the next is as good as it gets.
 */
export function useSearch(asked: DayAsked, basis: object): DaySearch {
  const [last, setLast] = useState<{ readonly basis: object; readonly answer: Answer<'day'> } | null>(null)
  const first = useExactAnswer(
    'day',
    useMemo(() => withVisits(asked, FIRST_VISITS), [asked]),
  )
  const [stoppedOf, setStoppedOf] = useState<DayAsked | null>(null)
  const isThere = first?.ok === true
  const isProven = isThere && (first.value.plan?.proven ?? true)
  const isStopped = stoppedOf === asked
  const better = useExactAnswer(
    'day',
    useMemo(
      () => withVisits(asked, BETTER_VISITS, isThere && !isProven && !isStopped),
      [asked, isThere, isProven, isStopped],
    ),
  )
  const isBetterProven = better?.ok === true && (better.value.plan?.proven ?? true)
  const best = useExactAnswer(
    'day',
    useMemo(
      () => withVisits(asked, BEST_VISITS, better?.ok === true && !isBetterProven && !isStopped),
      [asked, better?.ok, isBetterProven, isStopped],
    ),
  )
  const isDone = isThere && (isProven || isStopped || isBetterProven || (better && !better.ok) || best !== undefined)
  const fresh = soonest([first, better, best].flatMap(one => (one?.ok ? [one.value] : [])))
  useEffect(() => {
    if (isDone && !isStopped && fresh) setLast({ basis, answer: fresh })
  }, [isDone, isStopped, fresh, basis])
  const answer = (!isDone || isStopped) && last?.basis === basis ? last.answer : (fresh ?? last?.answer ?? null)
  return {
    answer,
    problems: first && !first.ok ? first.problems : NONE,
    isDone,
    searched: [first, better, best].filter(one => one !== undefined).length,
    stopSearch: useCallback(() => {
      if (answer) setLast({ basis, answer })
      setStoppedOf(asked)
    }, [answer, basis, asked]),
  }
}

/** Of the answers there are the one that ends first; one without a plan says why. */
const soonest = (answers: readonly Answer<'day'>[]): Answer<'day'> | null =>
  answers.reduce<Answer<'day'> | null>((best, one) => {
    if (best === null) return one
    const isSooner = (one.plan?.finishMin ?? 0) <= (best.plan?.finishMin ?? Number.POSITIVE_INFINITY)
    return one.why === null && (best.why !== null || isSooner) ? one : best
  }, null)
