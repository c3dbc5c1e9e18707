import { copyFileSync, createReadStream, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import { type FileHandle, open, rename } from 'node:fs/promises'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import * as z from 'zod/mini'
import type { Seen } from '../../core/joining/stamp'
import { checkedRow, looseRowSchema, SHARING_VERSION } from '../../core/sharing/messages'
import type { NumberedRow } from '../../core/sharing/shared-log'
import { seenSchema } from '../../core/shop/stamps'
import { jsonOf } from './json'

const headSchema = z.object({ format: z.literal('tawny-ember-shared'), version: z.int(), logId: z.string() })
const lineSchema = z.object({
  rows: z.array(z.extend(looseRowSchema, { seq: z.int() })),
  seen: seenSchema,
})

/** Lines that were written over since make up at most this share before the journal is written anew. */
const STALE_SHARE = 0.5
const BACK_UPS = 14
const LINES_A_WRITE = 500

/** A journal that cannot be read as it stands: what it holds must not be written over. */
export class JournalError extends Error {
  constructor(
    readonly why: 'newer' | 'broken',
    readonly file: string,
  ) {
    super(why)
  }
}

interface Stored {
  readonly logId: string
  readonly rows: ReadonlyMap<string, NumberedRow>
  readonly seen: Seen
  /** Rows in the file, those that were written over since among them. */
  readonly written: number
  /** Version of the data it was begun with. */
  readonly version: number
}

/** Parts that a journal is written anew from. */
type Fresh = Pick<Stored, 'logId' | 'rows' | 'seen'>

/**
 * Reads what a journal holds; null where there is none. A last line that was cut off by a loss of power is left out: it was
 * never answered for. Throws JournalError where anything else does not fit.
 */
async function readJournal(file: string): Promise<Stored | null> {
  if (!existsSync(file)) return null
  const rows = new Map<string, NumberedRow>()
  let logId: string | null = null
  let version = SHARING_VERSION
  let seen: Seen = {}
  let written = 0
  let isCut = false
  for await (const text of createInterface({
    input: createReadStream(file, 'utf8'),
    crlfDelay: Number.POSITIVE_INFINITY,
  })) {
    if (isCut) throw new JournalError('broken', file)
    const json = jsonOf(text)
    if (logId === null) {
      const head = headSchema.safeParse(json)
      if (!head.success) throw new JournalError('broken', file)
      if (head.data.version > SHARING_VERSION) throw new JournalError('newer', file)
      logId = head.data.logId
      version = head.data.version
      continue
    }
    const line = lineSchema.safeParse(json)
    if (!line.success) {
      isCut = true
      continue
    }
    for (const loose of line.data.rows) {
      const row = checkedRow(loose)
      if (!row) throw new JournalError('broken', file)
      const key = `${row.table}/${row.id}`
      rows.delete(key)
      rows.set(key, { ...row, seq: loose.seq })
      written++
    }
    seen = line.data.seen
  }
  return logId === null ? null : { logId, rows, seen, written, version }
}

const headText = (logId: string) =>
  `${JSON.stringify({ format: 'tawny-ember-shared', version: SHARING_VERSION, logId })}\n`
const lineText = (rows: readonly NumberedRow[], seen: Seen) => `${JSON.stringify({ rows, seen })}\n`

/** Writes a journal anew beside the old one, and takes its place. */
async function writeAnew(file: string, { logId, rows, seen }: Fresh): Promise<void> {
  const handle = await open(`${file}.new`, 'w', 0o600)
  try {
    await handle.write(headText(logId))
    const all = [...rows.values()]
    for (let at = 0; at < all.length || at === 0; at += LINES_A_WRITE)
      await handle.write(lineText(all.slice(at, at + LINES_A_WRITE), seen))
    await handle.sync()
  } finally {
    await handle.close()
  }
  await rename(`${file}.new`, file)
}

/** The shared log in a file: each change is on the disk before it is answered. */
export async function openJournal(folder: string) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const file = join(folder, 'workshop.jsonl')
  const stored = await readJournal(file)
  const start: Fresh = stored ?? { logId: crypto.randomUUID(), rows: new Map(), seen: {} }
  // A line that was cut off is cut away before anything is written behind it.
  await writeAnewWhereStale(file, stored, start)
  const handle: FileHandle = await open(file, 'a', 0o600)
  let length = (await handle.stat()).size
  let backedUpOn = ''

  return {
    ...start,
    /** Writes a change down. Throws where the disk refuses, and leaves the file as it was. */
    append: async (rows: readonly NumberedRow[], seen: Seen): Promise<void> => {
      const today = new Date().toISOString().slice(0, 10)
      if (today !== backedUpOn) {
        backUp(folder, file, today)
        backedUpOn = today
      }
      const text = lineText(rows, seen)
      try {
        await handle.appendFile(text)
        await handle.datasync()
        length += Buffer.byteLength(text)
      } catch (error) {
        await handle.truncate(length).catch(() => undefined)
        throw error
      }
    },
    close: (): Promise<void> => handle.close(),
  }
}

async function writeAnewWhereStale(file: string, stored: Stored | null, start: Fresh): Promise<void> {
  const isStale = stored !== null && stored.rows.size < stored.written * (1 - STALE_SHARE)
  // What is written from now on no older version may read and drop: the journal says so from its first line.
  const isOlder = stored !== null && stored.version < SHARING_VERSION
  if (stored === null || isStale || isOlder || (await endsCut(file))) await writeAnew(file, start)
}

async function endsCut(file: string): Promise<boolean> {
  const handle = await open(file, 'r')
  try {
    const { size } = await handle.stat()
    const { buffer } = await handle.read(Buffer.alloc(1), 0, 1, Math.max(0, size - 1))
    return buffer.toString() !== '\n'
  } finally {
    await handle.close()
  }
}

/** Copies the journal as it was before the first change of a day; the oldest copies go. A copy that cannot be made stops no work. */
function backUp(folder: string, file: string, today: string): void {
  const copies = join(folder, 'back-ups')
  try {
    mkdirSync(copies, { recursive: true, mode: 0o700 })
    const copy = join(copies, `workshop-${today}.jsonl`)
    if (existsSync(copy)) return
    copyFileSync(file, copy)
    for (const old of readdirSync(copies).sort().slice(0, -BACK_UPS)) rmSync(join(copies, old))
  } catch (error) {
    console.error('The day’s copy of the shared workshop could not be made:', (error as Error).message)
  }
}
