import * as z from 'zod/mini'
import { TASK_KINDS } from '../../core/day/task-kinds'
import type { PlannedAct } from '../../core/day/went'

const KEY = 'tawny-day-first-plan'
const actSchema = z.object({
  kind: z.enum(TASK_KINDS),
  batchId: z.string(),
  bladeIds: z.array(z.string()),
  round: z.number(),
  startMin: z.number(),
})
const keptSchema = z.object({
  date: z.string(),
  batchIds: z.array(z.string()),
  finishMin: z.number(),
  acts: z._default(z.array(actSchema), []),
})

/** First plan of a day: its end, and each task. */
export interface FirstPlan {
  readonly finishMin: number
  readonly acts: readonly PlannedAct[]
}

const kept = () => {
  try {
    return keptSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null')).data
  } catch {
    // What is not readable is not there: the plan of now is the first.
    return undefined
  }
}

/** Returns the stored first plan of a day, or null. */
export const keptPlanOf = (date: string): FirstPlan | null => {
  const before = kept()
  return before?.date === date ? before : null
}

/**
 * The day's first plan of these batches; that of now where there was none yet. Kept in this browser for one day. With other batches the
 * end is counted anew; acts of batches that were planned before stay as they were first said, also when the batch is done and gone.
 */
export function firstPlan(date: string, batchIds: readonly string[], now: FirstPlan): FirstPlan {
  const ids = [...batchIds].sort()
  const before = kept()
  const isToday = before?.date === date
  if (isToday && before.batchIds.join() === ids.join()) return before
  const known = new Set(isToday ? before.acts.map(act => act.batchId) : [])
  const acts = [...(isToday ? before.acts : []), ...now.acts.filter(act => !known.has(act.batchId))]
  const plan = { finishMin: now.finishMin, acts }
  try {
    localStorage.setItem(KEY, JSON.stringify({ date, batchIds: ids, ...plan }))
  } catch {
    // A browser that stores nothing knows of no earlier plan.
  }
  return plan
}
