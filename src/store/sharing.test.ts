import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { emptyData } from '../core/files/pieces'
import { rowKey, type SharedRow } from '../core/sharing/rows'
import { createSharedLog, type SharedLog } from '../core/sharing/shared-log'
import type { Batch } from '../core/shop/batch'
import { runOf } from '../testing/run'
import { gradeOf, NOW, readingOf, trayOf } from '../testing/tray'
import { addAll, clearAll, readAll, replaceAll } from './backup'
import { addBatch, editBatch, setDeleted } from './batches'
import { db } from './database'
import { readBatch } from './read-batch'
import { addReadings, saveShop } from './records'
import { addRun, logEvents } from './runs'
import { readScreen } from './screen'
import { newWorkshop } from './seed'
import { needsSerials, putSerialBlock } from './serial-blocks'
import { markShared } from './shared-role'
import { countWaiting, markAllUnsent, markSent, readInStep, readWaiting, redateWaiting, takeReceived } from './sharing'

const BATCH = { ...trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 3 }]), name: 'Gulls' }
const MOST = 10_000_000
/** The other screen’s changes are made in memory, the server’s log too. */
let log: SharedLog

beforeEach(async () => {
  const stored: Record<string, unknown> = {
    getItem: (key: string) => stored[key] ?? null,
    setItem: (key: string, value: string) => {
      stored[key] = value
    },
    removeItem: (key: string) => delete stored[key],
  }
  vi.stubGlobal('localStorage', stored)
  await db.meta.clear()
  await replaceAll(emptyData({ ...newWorkshop(), origin: 'one-shop' }))
  await addBatch(BATCH)
  log = createSharedLog()
  markShared({ name: 'Desk', role: 'works' })
  await markAllUnsent()
  await send()
})
afterEach(() => vi.unstubAllGlobals())

/** Sends all that waits to the log, as the link does. */
async function send(): Promise<readonly SharedRow[]> {
  const { rows, marks, seen, isAll } = await readWaiting(MOST)
  log.keep(log.take({ rows, seen, isAll }, Date.now()))
  await markSent(marks)
  return rows
}
/** Takes what the log has after a number. */
const take = (after: number, rows: readonly SharedRow[] = log.withContext(log.since(after))) =>
  takeReceived({ rows, seen: log.seen(), isAll: true, inStep: { logId: 'log', cursor: log.seq() } })

const here = async (): Promise<Batch> => {
  const batch = await readBatch(BATCH.id)
  if (!batch) throw new Error('the batch is gone')
  return batch
}
const rename = async (name: string) => editBatch(await here(), 'Edit', batch => ({ ...batch, name }))
const waiting = async () => [...(await readWaiting(MOST)).marks.keys()].map(key => key.slice('unsent/'.length)).sort()

/** Another screen changed a record, and the server has it. */
function changedElsewhere(
  key: string,
  change: (row: never) => object,
  path: string,
  atUs = Date.now() * 1000 + 10,
): number {
  const before = log.seq()
  const row = [...log.rows()].find(one => rowKey(one) === key)
  if (!row) throw new Error(`no ${key}`)
  const sent = {
    ...row,
    row: change(row.row as never) as SharedRow['row'],
    f: { ...row.f, [path]: [atUs, 'tablet'] as const },
  }
  // What is sent goes with what it cannot be judged without.
  const rows = log.withContext([sent]).filter(one => one !== row)
  log.keep(log.take({ rows, seen: { ...log.seen(), tablet: atUs }, isAll: true }, Date.now()))
  return before
}

describe('what waits to be sent', () => {
  it('is what was changed, with its batch, and nothing once it was sent', async () => {
    expect(await waiting()).toEqual([])
    await rename('Terns')
    expect(await waiting()).toEqual([`batches/${BATCH.id}`])
    await addReadings([readingOf('A1', 60, 'temper-2', { id: 'read', batchId: BATCH.id })])
    expect((await waiting()).filter(key => key.startsWith('readings/'))).toHaveLength(1)
    const rows = await send()
    expect(rows.map(one => one.table)).toContain('shop')
    expect(await countWaiting()).toBe(0)
  })

  it('stays where it was changed again while it was on its way', async () => {
    await rename('Terns')
    const { marks } = await readWaiting(MOST)
    await rename('Gannets')
    await markSent(marks)
    expect(await waiting()).toEqual([`batches/${BATCH.id}`])
  })

  it('is nothing where no workshop is shared, and of a practice never', async () => {
    markShared(null)
    await rename('Terns')
    expect(await waiting()).toEqual([])
    markShared({ name: 'Desk', role: 'works' })
    await addRun({ ...runOf(BATCH), id: 'practice', mode: 'practice' })
    expect(await waiting()).toEqual([])
    await addRun({ ...runOf(BATCH), id: 'hot', mode: 'shop' })
    await logEvents('hot', [{ id: 'e', atS: 1, kind: 'remark', text: 'thin seam' }])
    expect(await waiting()).toEqual(['runs/hot'])
  })

  it('is all that a file of another workshop laid beside', async () => {
    const file = { ...(await readAll()), shop: { ...newWorkshop(), origin: 'elsewhere', name: 'Elsewhere' } }
    const other = { ...file, batches: file.batches.map(one => ({ ...one, name: 'Skuas' })) }
    expect(await addAll(other)).not.toBeNull()
    expect((await waiting()).some(key => key.startsWith('batches/') && key !== `batches/${BATCH.id}`)).toBe(true)
  })
})

describe('what comes from the server', () => {
  it('is taken beside what is changed here: each has both, and nothing goes back as it came', async () => {
    await rename('Terns')
    const after = changedElsewhere(
      `batches/${BATCH.id}`,
      (row: object) => ({ ...row, note: 'for the harbour' }),
      'note',
    )
    expect(await take(after)).toBe(true)
    expect(await here()).toMatchObject({ name: 'Terns', note: 'for the harbour' })
    await send()
    expect(await countWaiting()).toBe(0)
    expect(log.since(0).find(one => one.table === 'batches')?.row).toMatchObject({
      name: 'Terns',
      note: 'for the harbour',
    })
    expect(await readInStep()).toMatchObject({ logId: 'log' })
  })

  it('lists what both changed, and the later change stands', async () => {
    await rename('Terns')
    const after = changedElsewhere(
      `batches/${BATCH.id}`,
      (row: object) => ({ ...row, name: 'Skuas' }),
      'name',
      Date.now() * 1000 + 60_000_000,
    )
    await take(after)
    expect((await here()).name).toBe('Skuas')
    expect(await db.differences.toArray()).toMatchObject([
      { path: 'name', here: 'Terns', there: 'Skuas', taken: 'there' },
    ])
  })

  it('brings a batch back that was deleted elsewhere and measured here', async () => {
    await addReadings([readingOf('A1', 60, 'temper-2', { id: 'read', batchId: BATCH.id })])
    const after = changedElsewhere(`batches/${BATCH.id}`, (row: object) => ({ ...row, deletedAt: NOW }), 'deletedAt')
    await take(after)
    expect((await here()).deletedAt).toBeNull()
    await send()
    expect(log.since(0).find(one => one.table === 'batches')).toMatchObject({ row: { deletedAt: null } })
  })

  it('takes a deletion where nothing was done here', async () => {
    const after = changedElsewhere(`batches/${BATCH.id}`, (row: object) => ({ ...row, deletedAt: NOW }), 'deletedAt')
    await take(after)
    expect((await here()).deletedAt).toBe(NOW)
    expect(await countWaiting()).toBe(0)
  })

  it('is worth nothing twice: the same again changes nothing', async () => {
    const after = changedElsewhere(`batches/${BATCH.id}`, (row: object) => ({ ...row, name: 'Skuas' }), 'name')
    await take(after)
    const before = await readAll()
    await take(after)
    expect(await readAll()).toEqual(before)
  })
})

describe('a screen that only shows', () => {
  it('changes nothing that is shared, says so, and takes what comes', async () => {
    markShared({ name: 'Wall', role: 'shows' })
    const refused = await rename('Terns')
    expect(refused.problems.map(one => one.code)).toEqual(['only-shows'])
    expect((await here()).name).toBe('Gulls')
    await take(changedElsewhere(`batches/${BATCH.id}`, (row: object) => ({ ...row, name: 'Skuas' }), 'name'))
    expect((await here()).name).toBe('Skuas')
    expect((await addRun({ ...runOf(BATCH), id: 'practice', mode: 'practice' })).saved).toBe(true)
  })
})

describe('a shared workshop', () => {
  it('is not emptied or replaced on one screen: it would come back from the others', async () => {
    const refused = await clearAll()
    expect(refused.problems.map(one => one.code)).toEqual(['is-shared'])
    expect(await readBatch(BATCH.id)).toBeDefined()
    markShared(null)
    expect((await clearAll()).saved).toBe(true)
  })

  it('tells what was deleted here before it was shared', async () => {
    await setDeleted(await here(), true)
    await db.meta.clear()
    await markAllUnsent()
    expect(await waiting()).toContain(`batches/${BATCH.id}`)
  })

  it('dates anew what a clock a day ahead stamped, and only that', async () => {
    const { now } = Date
    vi.spyOn(Date, 'now').mockImplementation(() => now() + 86_400_000)
    await rename('From tomorrow')
    vi.restoreAllMocks()
    await redateWaiting(Date.now())
    const [row] = (await readWaiting(MOST)).rows.filter(one => one.table === 'batches')
    const { id } = await readScreen()
    const [atUs, of] = row?.f.name ?? [0, '']
    expect(of).toBe(id)
    expect(atUs).toBeLessThanOrEqual((Date.now() + 1000) * 1000)
    await saveShop(shop => ({ ...shop, name: 'After it' }))
    const shop = (await readWaiting(MOST)).rows.find(one => one.table === 'shop')
    expect(shop?.f.name?.[0]).toBeLessThan((Date.now() + 60_000) * 1000)
  })
})

describe('serials of blades that are begun out of reach', () => {
  const year = Number(NOW.slice(0, 4))
  const prefix = `${String(year % 100)}-`
  const begun = async (id: string) => {
    const blades = BATCH.blades.map(blade => ({ ...blade, id: `${id}-${blade.id}`, batchId: id, serial: '' }))
    await addBatch({ ...BATCH, id, blades })
    return (await readBatch(id))?.blades.map(blade => blade.serial)
  }

  it('are this screen’s own, until they are used up or the workshop is shared no more', async () => {
    expect(await needsSerials('log', year)).toBe(true)
    await putSerialBlock('log', { prefix, from: 51, to: 100 })
    expect(await needsSerials('log', year)).toBe(false)
    expect(await begun('b1')).toEqual([`${prefix}051`, `${prefix}052`, `${prefix}053`])
    expect(await begun('b2')).toEqual([`${prefix}054`, `${prefix}055`, `${prefix}056`])
    await putSerialBlock('log', { prefix, from: 151, to: 200 })
    expect((await begun('b3'))?.[0], 'what is left of the first').toBe(`${prefix}057`)
    expect(await needsSerials('another-log', year)).toBe(true)
    markShared(null)
    expect((await begun('b4'))?.[0]).toBe(`${prefix}060`)
  })
})
