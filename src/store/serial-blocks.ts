import * as z from 'zod/mini'
import { leftInBlocks, serialPrefix, USUAL_SERIALS } from '../core/shop/serial'
import { type SerialBlock, serialBlockSchema } from '../core/shop/serial-block'
import { db } from './database'
import { isShared } from './shared-mark'

/** Serials that the workshop’s server gave to this screen alone: in the table `meta`, with the shared log they are of. */
const BLOCKS = 'serial-blocks'
const blocksSchema = z.object({
  logId: z.string(),
  blocks: z.array(serialBlockSchema),
})
/** Below this further serials are asked for: a tray or two can still be begun out of reach. */
const FEW = 30

async function readBlocks(): Promise<z.infer<typeof blocksSchema> | null> {
  const stored = await db.meta.get(BLOCKS)
  const parsed = stored && blocksSchema.safeParse(JSON.parse(stored.value))
  return parsed?.success ? parsed.data : null
}

/** Returns the blocks of serials that are this screen’s own; none where it shares no workshop. */
export const ownSerialBlocks = async (): Promise<readonly SerialBlock[]> =>
  isShared() ? ((await readBlocks())?.blocks ?? []) : []

/** Returns the serials of a year that are in use. */
export const usedSerials = async (pattern: string, year: number): Promise<string[]> =>
  (await db.blades.where('serial').startsWith(serialPrefix(pattern, year)).keys()).map(String)

/** Returns whether few serials of a year are left of those that are this screen’s own in a shared log. */
export async function needsSerials(logId: string, year: number): Promise<boolean> {
  const pattern = (await db.shop.get('shop'))?.serialPattern ?? USUAL_SERIALS
  const own = await readBlocks()
  if (own?.logId !== logId) return true
  return leftInBlocks(pattern, year, await usedSerials(pattern, year), own.blocks).length < FEW
}

/** Keeps a block that the server of a shared log gave; of older ones the last two, which may have some left. */
export async function putSerialBlock(logId: string, block: SerialBlock): Promise<void> {
  const own = await readBlocks()
  const blocks = own?.logId === logId ? own.blocks.slice(-2) : []
  await db.meta.put({ key: BLOCKS, value: JSON.stringify({ logId, blocks: [...blocks, block] }) })
}
