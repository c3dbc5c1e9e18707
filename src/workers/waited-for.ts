import { createSubscribable } from '../core/subscribable'

/** How many questions this page waits for. */
export const waitedFor = createSubscribable(0)

/** Counts a question until it was answered, or could not be. */
export async function awaited<T>(answer: Promise<T>): Promise<T> {
  waitedFor.set(waitedFor.get() + 1)
  try {
    return await answer
  } finally {
    waitedFor.set(waitedFor.get() - 1)
  }
}
