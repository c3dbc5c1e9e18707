import * as z from 'zod/mini'

/** When a page last had a run in view, by the computer's clock, ms, and by the run's own, s; and whether it was left on purpose. */
const seenSchema = z.object({ wallMs: z.number(), runS: z.number().check(z.minimum(0)), left: z.boolean() })
type Seen = z.infer<typeof seenSchema>

const keyOf = (runId: string) => `tawny-ember-run-seen:${runId}`

export function lastSeen(runId: string): Seen | null {
  try {
    const parsed = seenSchema.safeParse(JSON.parse(localStorage.getItem(keyOf(runId)) ?? 'null'))
    return parsed.success ? parsed.data : null
  } catch {
    return null
  }
}

export function noteSeen(runId: string, wallMs: number, runS: number, left: boolean) {
  try {
    localStorage.setItem(keyOf(runId), JSON.stringify({ wallMs, runS, left } satisfies Seen))
  } catch {
    // Storage may be blocked: then nobody asks after a crash.
  }
}

export function forgetSeen(runId: string) {
  try {
    localStorage.removeItem(keyOf(runId))
  } catch {
    // As above.
  }
}
