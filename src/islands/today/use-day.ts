import { addMinutes } from 'date-fns/addMinutes'
import { startOfDay } from 'date-fns/startOfDay'
import { useEffect, useMemo, useState } from 'react'
import type { Problem } from '../../core/codes/problem'
import type { Answer } from '../../core/contract/questions'
import { mustNotWait, type Urgent, withPulls } from '../../core/day/must-not-wait'
import { type OvenAstray, ovensAstray } from '../../core/equipment/ovens-astray'
import { outward } from '../../core/numeric/round'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { minutesBetween } from '../../core/units/time'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'
import { type DayAsked, dayAsked } from './day-request'
import { useSearch, withVisits } from './use-search'

const HELP_VISITS = 80_000
/** A plan looks at the clock this often, min. */
const STEP_MIN = 5

export type DayPlan = NonNullable<Answer<'day'>['plan']>

export interface Day {
  /** Midnight of today, from which all minutes count. */
  readonly origin: Date
  readonly nowMin: number
  readonly work: readonly (readonly [number, number])[]
  /** When a second pair of hands is there. */
  readonly helper: readonly (readonly [number, number])[]
  readonly batches: readonly Batch[]
  readonly leftOut: number
  /** Batches whose run has begun: when they are hardened is no question any more. */
  readonly running: ReadonlySet<string>
  readonly answer: Answer<'day'> | null
  /** Why the day could not be worked out at all. */
  readonly problems: readonly Problem[]
  /** A better plan is still looked for. */
  readonly searching: boolean
  /** How many of the search's steps are done, of SEARCH_STEPS. */
  readonly searched: number
  /** The plan there is will do: no better one is looked for. */
  readonly stopSearch: () => void
  readonly helps: Answer<'day-helps'>['helps']
  /** Why what would help could not be worked out. */
  readonly helpProblems: readonly Problem[]
  /** When the first load may go in at the latest for all to be done within the day's hours. */
  readonly latestStart: Answer<'day-helps'>['latestStart']
  readonly urgent: readonly Urgent[]
  /** Ovens to look at before anything of the day goes into them. */
  readonly astray: readonly OvenAstray[]
  /** The day as a question, for what is asked of it besides. */
  readonly request: DayAsked['request']
}

const gridNow = (): number => outward({ min: minutesBetween(0, Date.now()), max: 0 }, STEP_MIN).min

/** Now, on the plan's own grid: a plan is not made anew each second. */
function useNowMin(): { readonly origin: Date; readonly nowMin: number } {
  const [atMin, setAtMin] = useState(gridNow)
  useEffect(() => {
    const timer = setInterval(() => setAtMin(gridNow()), 20_000)
    return () => clearInterval(timer)
  }, [])
  return useMemo(() => {
    const now = addMinutes(0, atMin)
    const origin = startOfDay(now)
    return { origin, nowMin: Math.max(0, minutesBetween(origin.getTime(), now.getTime())) }
  }, [atMin])
}

/** The day of all batches that are to come or under way: a first plan at once, the best as it is found. */
export function useDay(batches: readonly Batch[], runs: readonly Run[], measured: ReadonlySet<string>): Day {
  const shop = useShopNow()
  const { origin, nowMin } = useNowMin()
  const asked = useMemo(
    () => dayAsked({ batches, runs, measured, shop, origin, nowMin }),
    [batches, runs, measured, shop, origin, nowMin],
  )
  // biome-ignore lint/correctness/useExhaustiveDependencies: another object for other batches, runs or another shop
  const basis = useMemo(() => ({}), [batches, runs, measured, shop])
  const { answer, problems, isDone, searched, stopSearch } = useSearch(asked, basis)
  const plannedMin = answer?.why === null ? (answer.plan?.finishMin ?? null) : null
  const helps = useAnswer(
    'day-helps',
    useMemo(() => {
      const request = withVisits(asked, HELP_VISITS, isDone)
      return request && { ...request, plannedMin }
    }, [asked, isDone, plannedMin]),
  )
  const urgent = useMemo(
    () => withPulls(mustNotWait(asked.batches), answer?.plan?.tasks ?? [], answer?.groups ?? []),
    [asked, answer],
  )
  const astray = useMemo(() => {
    const ids = new Set(asked.batches.flatMap(({ batch, running }) => (running ? [] : [batch.ovenId])))
    return ovensAstray(shop.ovens.filter(oven => ids.has(oven.id)))
  }, [asked, shop.ovens])
  return useMemo(() => {
    // The last answer is kept while a new one is worked out: of a day with nothing in it there is none.
    const isEmpty = asked.batches.length === 0
    const helped = helps?.ok && !isEmpty ? helps.value : null
    return {
      origin,
      nowMin,
      work: asked.request.work,
      helper: asked.request.helper ?? [],
      batches: asked.batches.map(({ batch }) => batch),
      leftOut: asked.leftOut,
      running: new Set(asked.batches.flatMap(({ batch, running }) => (running ? [batch.id] : []))),
      answer: isEmpty ? null : answer,
      problems,
      searching: !isEmpty && !isDone && problems.length === 0,
      searched,
      stopSearch,
      helps: helped?.helps ?? [],
      helpProblems: helps && !helps.ok && !isEmpty ? helps.problems : [],
      latestStart: helped?.latestStart ?? null,
      urgent,
      astray,
      request: asked.request,
    }
  }, [asked, origin, nowMin, answer, problems, isDone, searched, stopSearch, helps, urgent, astray])
}
