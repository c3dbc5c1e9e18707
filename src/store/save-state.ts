import type * as z from 'zod/mini'
import { newProblems, type Problem, problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { problemsOf } from '../core/shop/problems'
import type { ReadOnly } from '../core/shop/read-only'
import { createSubscribable } from '../core/subscribable'

/** A write the browser refused: what it held is still on the page. */
export interface SaveTrouble {
  readonly problem: Problem
  /** Tries the refused write again. */
  readonly retry: () => Promise<Saving>
}

/** Trouble with saving that the person must know; silent while all is well. */
export const saveTrouble = createSubscribable<SaveTrouble | null>(null)

/** A change that did not fit and that no field has shown beside itself, newest. */
export const unfitChange = createSubscribable<Saving | null>(null)

/** Thrown inside a transaction so that nothing of it is kept. */
export class Unfit extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super('unfit')
  }
}

/** A record as its schema has it. Throws Unfit inside `saving`, which turns it into problems. */
export function fitting<S extends z.ZodMiniType>(schema: S, record: unknown): z.infer<S> {
  const parsed = schema.safeParse(record)
  if (!parsed.success) throw new Unfit(problemsOf(parsed.error, record))
  return parsed.data
}

/**
 * A record with a change in it as its schema has it. What did not fit before the change does not stand in its way. Throws Unfit as
 * `fitting` does.
 */
export function fittingChange<R>(schema: z.ZodMiniType<R>, before: ReadOnly<R>, after: ReadOnly<R>): ReadOnly<R> {
  const parsed = schema.safeParse(after)
  if (parsed.success) return parsed.data as ReadOnly<R>
  const was = schema.safeParse(before)
  const wrong = newProblems(was.success ? [] : problemsOf(was.error, before), problemsOf(parsed.error, after))
  if (wrong.length > 0) throw new Unfit(wrong)
  return after
}

/** Refusals a browser has names for: storage full, blocked, closed or not there. */
const REFUSALS = new Set([
  'QuotaExceededError',
  'InvalidStateError',
  'SecurityError',
  'UnknownError',
  'DatabaseClosedError',
  'OpenFailedError',
  'MissingAPIError',
  'NotFoundError',
  'VersionError',
  'TimeoutError',
])

/** Why a write was refused: the names are those of the browser's storage, or of the library's wrapping of it. */
export function refusalOf(error: unknown): Problem {
  const names = namesOf(error)
  if (names.includes('QuotaExceededError')) return problem('storage-full', {})
  if (names.includes('NewerDataError')) return problem('storage-newer', {})
  if (names.some(name => REFUSALS.has(name))) return problem('storage-refused', {})
  return problem('save-failed', { what: names[0] ?? 'Error' })
}

/** Whether it was the browser or its data that refused, so that the change must be kept on the page. */
export const isRefusal = ({ code }: Problem): boolean =>
  code === 'storage-full' || code === 'storage-refused' || code === 'storage-newer'

/** An error's name with those of what it wraps. */
function namesOf(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return []
  const { name, inner, cause } = error as { name?: unknown; inner?: unknown; cause?: unknown }
  return [...(typeof name === 'string' ? [name] : []), ...namesOf(inner), ...namesOf(cause)]
}

export const SAVED: Saving = { saved: true, problems: [] }

/**
 * Runs a write. What does not fit comes back as problems and blocks nothing that comes after; a refusal of the browser's is shown
 * with a way to try again. Where repeating the write itself would apply it twice, give what to try instead.
 */
export async function saving(
  write: () => PromiseLike<unknown>,
  again: () => PromiseLike<unknown> = write,
): Promise<Saving> {
  try {
    await write()
    saveTrouble.set(null)
    return SAVED
  } catch (error) {
    if (error instanceof Unfit) return unfit(error.problems)
    const refused = refusalOf(error)
    saveTrouble.set({ problem: refused, retry: () => saving(again) })
    return { saved: false, problems: [refused] }
  }
}

function unfit(problems: readonly Problem[]): Saving {
  let isShown = false
  const outcome: Saving = {
    saved: false,
    problems,
    shownBeside: () => {
      isShown = true
    },
  }
  // A field that asked for this shows it before the page does.
  setTimeout(() => {
    if (!isShown) unfitChange.set(outcome)
  }, 0)
  return outcome
}
