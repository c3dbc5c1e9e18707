import { z } from 'zod'

const KEY = 'tawny-day-first-plan'
const keptSchema = z.object({ date: z.string(), batchIds: z.array(z.string()), finishMin: z.number() })

const kept = () => {
  try {
    return keptSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null')).data
  } catch {
    // What is not readable is not there: the plan of now is the first.
    return undefined
  }
}

/**
 * When the day's first plan of these batches said that all would be done, min; that of now where there was none yet. Kept in this
 * browser for one day: another day, or other batches, begin anew.
 */
export function firstFinish(date: string, batchIds: readonly string[], finishMin: number): number {
  const ids = [...batchIds].sort()
  const before = kept()
  if (before?.date === date && before.batchIds.join() === ids.join()) return before.finishMin
  try {
    localStorage.setItem(KEY, JSON.stringify({ date, batchIds: ids, finishMin }))
  } catch {
    // A browser that stores nothing knows of no earlier plan.
  }
  return finishMin
}
