import * as z from 'zod/mini'
import { runBladeSchema, runStepSchema } from '../core/shop/run'
import { db } from './database'

const planSchema = z.object({ steps: z.array(runStepSchema).check(z.minLength(1)), blades: z.array(runBladeSchema) })
export type LastPlan = z.infer<typeof planSchema>

const keyOf = (batchIds: readonly string[]) => `plan ${batchIds.join(' ')}`

/** Keeps the plan a run would be begun on, so that one can be begun when it cannot be worked out anew. */
export async function keepPlan(
  batchIds: readonly string[],
  plan: { readonly steps: unknown; readonly blades: unknown },
) {
  await db.meta.put({ key: keyOf(batchIds), value: JSON.stringify(plan) }).catch(() => undefined)
}

/** The plan that was worked out last for some batches; null where none was. */
export async function lastPlan(batchIds: readonly string[]): Promise<LastPlan | null> {
  try {
    const kept = await db.meta.get(keyOf(batchIds))
    const parsed = planSchema.safeParse(JSON.parse(kept?.value ?? 'null'))
    return parsed.success ? parsed.data : null
  } catch {
    return null
  }
}
