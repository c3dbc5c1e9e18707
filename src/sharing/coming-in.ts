import * as z from 'zod/mini'
import { emptyData } from '../core/files/pieces'
import { ROLES, type Role } from '../core/sharing/messages'
import { type Workshop, workshopSchema } from '../core/shop/workshop'
import { addAll, readAll, replaceAll } from '../store/backup'
import { db } from '../store/database'
import { markShared } from '../store/shared-role'

const statusSchema = z.object({
  screen: z.nullable(z.object({ name: z.string(), role: z.enum(ROLES) })),
  /** Its settings; null: nothing was shared yet, or who asks is none of its screens. */
  workshop: z.nullable(z.unknown()),
})

export interface Screen {
  readonly name: string
  readonly role: Role
}

/** This browser and the workshop as the server knows them. */
export interface Status {
  readonly screen: Screen | null
  readonly workshop: Workshop | null
}

/** Asks the server who this browser is to it; null where it shares nothing or cannot be reached. */
export async function askStatus(): Promise<Status | null> {
  const answer = await fetch('/share/status').catch(() => null)
  const json: unknown = answer?.ok ? await answer.json().catch(() => null) : null
  const status = statusSchema.safeParse(json)
  if (!status.success) return null
  const shop = workshopSchema.safeParse(status.data.workshop)
  return { screen: status.data.screen, workshop: shop.success ? (shop.data as Workshop) : null }
}

/** Comes in with a code; a text says why not. */
export async function comeIn(code: string): Promise<string | null> {
  const answer = await fetch('/share/join', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ code }),
  }).catch(() => null)
  if (answer?.ok) return null
  const body: unknown = await answer?.json().catch(() => null)
  const said = z.object({ message: z.string() }).safeParse(body)
  return said.success
    ? said.data.message
    : 'The server of the workshop does not answer. Is it running, and this screen on its network?'
}

/** The log in this browser before it comes in, beside the one that is shared. */
export type OwnLog = 'none' | 'made-up' | 'same' | 'other'

export async function ownLog(
  workshop: Workshop | null,
): Promise<{ readonly is: OwnLog; readonly name: string; readonly batches: number }> {
  const shop = await db.shop.get('shop')
  const batches = await db.batches.count()
  if (!shop) return { is: 'none', name: '', batches: 0 }
  const is = shop.origin === workshop?.origin ? 'same' : shop.isDemo ? 'made-up' : batches === 0 ? 'none' : 'other'
  return { is, name: shop.name, batches }
}

/** This browser’s log becomes the workshop’s, or is joined with it: the link sends all of a log that the server has nothing of. */
export function shareOwn(screen: Screen): true {
  markShared(screen)
  return true
}

/**
 * The workshop’s log takes the place of what is here. `bring`: what was here is laid beside it, as another workshop’s file is. False
 * where the browser refused.
 */
export async function takeShared(screen: Screen, workshop: Workshop, bring: boolean): Promise<boolean> {
  const own = bring ? await readAll() : null
  const { saved } = await replaceAll(emptyData(workshop))
  if (!saved) return false
  markShared(screen)
  if (!own) return true
  return (await addAll(own)) !== null
}
