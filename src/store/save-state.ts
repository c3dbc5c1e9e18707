import type * as z from 'zod/mini'
import { newProblems, type Problem, problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import type { WorkshopData } from '../core/files/exchange'
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

/** Rows that a refused write would have added, by their table. */
export type UnsavedRows = Partial<Pick<WorkshopData, 'readings' | 'pictures'>>

/**
 * A write that the browser refused and that can be done later as well, after whatever was stored since: one that only adds, or that
 * writes what the page holds by then. Any other would put an older state over a newer one.
 */
interface RefusedWrite {
  readonly again: () => PromiseLike<unknown>
  readonly rows: UnsavedRows
}

/** All refused writes of this page, oldest first: one that succeeds takes none of the others away. */
let refusedWrites: readonly RefusedWrite[] = []
let isRetrying = false

/** Returns the rows that this page holds and the browser would not store. */
export function refusedRows(): UnsavedRows {
  const rows: Record<string, unknown[]> = {}
  for (const write of refusedWrites)
    for (const [table, added] of Object.entries(write.rows)) rows[table] = [...(rows[table] ?? []), ...(added ?? [])]
  return rows as UnsavedRows
}

/** Lets refused writes go that something newer takes the place of. */
export const forgetRefused = (isReplaced: (rows: UnsavedRows) => boolean): void => {
  refusedWrites = refusedWrites.filter(write => !isReplaced(write.rows))
}

/** Tries every refused write again, oldest first, up to one that is refused once more. */
async function retryRefused(): Promise<Saving> {
  if (isRetrying) return SAVED
  isRetrying = true
  try {
    for (const write of refusedWrites) {
      try {
        const answered = await write.again()
        if (isRefused(answered)) return refuse(answered.problems[0] ?? problem('storage-refused', {}))
      } catch (error) {
        if (!(error instanceof Unfit)) return refuse(refusalOf(error))
        unfit(error.problems)
      }
      refusedWrites = refusedWrites.filter(other => other !== write)
    }
    saveTrouble.set(null)
    return SAVED
  } finally {
    isRetrying = false
  }
}

const isRefused = (answer: unknown): answer is Saving =>
  typeof answer === 'object' && answer !== null && 'saved' in answer && answer.saved === false

function refuse(refused: Problem, retry: SaveTrouble['retry'] = retryRefused): Saving {
  saveTrouble.set({ problem: refused, retry })
  return { saved: false, problems: [refused] }
}

/**
 * Runs a write. What does not fit comes back as problems and blocks nothing that comes after; a refusal of the browser's is shown
 * with a way to try again. Where repeating the write itself would apply it twice, give what to try instead; `rows`: what it adds, for a
 * file that is saved meanwhile.
 */
export async function saving(
  write: () => PromiseLike<unknown>,
  again: () => PromiseLike<unknown> = write,
  rows: UnsavedRows = {},
): Promise<Saving> {
  try {
    await write()
  } catch (error) {
    if (error instanceof Unfit) return unfit(error.problems)
    const refused = refusalOf(error)
    const canWait = isRefusal(refused) && (again !== write || Object.keys(rows).length > 0)
    if (!canWait) return refuse(refused, () => saving(again))
    if (!refusedWrites.some(other => other.again === again)) refusedWrites = [...refusedWrites, { again, rows }]
    return refuse(refused)
  }
  // The browser stores again: so it does for what it refused before.
  if (refusedWrites.length > 0) void retryRefused()
  else saveTrouble.set(null)
  return SAVED
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
