import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { DEFAULT_WORKSHOP, newBatch } from '../core/record/defaults'
import { parseExchange } from '../core/record/exchange'
import { newLog } from '../core/record/oven-log'
import { type Batch, type GradeSheet, ovenLogSchema, workshopSchema } from '../core/record/schemas'
import { findGrade } from '../core/steel/grades'
import { fillSheet } from '../core/steel/own-grade/fill-sheet'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { clearAll, readAll, seedOnce, writeAll } from './backup'
import { addBatch, editBatch, setDeleted, undoLast, unsavedBatches, withUnsaved } from './batches'
import { db, WorkshopDatabase } from './database'
import { changeLog, putGrade, putLog, removeGrade, removeLog, saveShop } from './records'
import { saveTrouble } from './save-state'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
const fresh = (id: string): Batch =>
  newBatch({ batch: id, group: 'g' }, 'Tray', grade, DEFAULT_WORKSHOP, '2026-03-02T08:00:00.000Z')
const stored = async (id: string) => (await db.batches.get(id)) as Batch

beforeEach(async () => {
  await Promise.all(db.tables.map(table => table.clear()))
  vi.restoreAllMocks()
})

describe('editing a batch', () => {
  it('saves at once and counts the saves', async () => {
    await addBatch(fresh('b1'))
    await editBatch(await stored('b1'), 'Name', b => ({ ...b, name: 'Fillets' }))
    expect(await stored('b1')).toMatchObject({ name: 'Fillets', rev: 1 })
  })

  it('keeps what another tab wrote meanwhile', async () => {
    await addBatch(fresh('b2'))
    const shownHere = await stored('b2')
    await db.batches.update('b2', { note: 'from the other tab', rev: 5 })
    await editBatch(shownHere, 'Name', b => ({ ...b, name: 'Fillets' }))
    expect(await stored('b2')).toMatchObject({ name: 'Fillets', note: 'from the other tab', rev: 6 })
  })

  it('takes back its own last edit and leaves the rest', async () => {
    await addBatch(fresh('b3'))
    await editBatch(await stored('b3'), 'Name', b => ({ ...b, name: 'Fillets' }))
    await db.batches.update('b3', { note: 'from the other tab' })
    expect(await undoLast('b3')).toEqual({ done: true, label: 'Name' })
    expect(await stored('b3')).toMatchObject({ name: 'Tray', note: 'from the other tab' })
    expect(await undoLast('b3')).toMatchObject({ done: false })
  })

  it('does not take back over another tab’s work on the same thing', async () => {
    await addBatch(fresh('b4'))
    await editBatch(await stored('b4'), 'Name', b => ({ ...b, name: 'Fillets' }))
    await db.batches.update('b4', { name: 'Theirs' })
    expect(await undoLast('b4')).toMatchObject({ done: false, why: expect.stringContaining('another tab') })
    expect((await stored('b4')).name).toBe('Theirs')
  })

  it('deletes so that it can be brought back', async () => {
    await addBatch(fresh('b5'))
    await setDeleted(await stored('b5'), true)
    expect((await stored('b5')).deletedAt).not.toBeNull()
    await undoLast('b5')
    expect((await stored('b5')).deletedAt).toBeNull()
  })
})

describe('storage that refuses', () => {
  const full = () =>
    vi
      .spyOn(db.batches, 'put')
      .mockImplementation(() => Promise.reject(new DOMException('full', 'QuotaExceededError')) as never)

  it('keeps the change on the page, says why, and saves it once when tried again', async () => {
    await addBatch(fresh('b6'))
    const refusing = full()
    await editBatch(await stored('b6'), 'Name', b => ({ ...b, name: `${b.name}!` }))
    expect(saveTrouble.get()?.message).toContain('storage is full')
    expect(unsavedBatches.get('b6')?.name).toBe('Tray!')
    expect(withUnsaved(await db.batches.toArray()).map(b => b.name)).toEqual(['Tray!'])
    expect((await stored('b6')).name).toBe('Tray')
    refusing.mockRestore()
    expect(await saveTrouble.get()?.retry()).toBe(true)
    expect((await stored('b6')).name).toBe('Tray!')
    expect(unsavedBatches.get('b6')).toBeUndefined()
    expect(saveTrouble.get()).toBeNull()
  })
})

describe('the whole workshop', () => {
  const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))

  it('is written and read back whole', async () => {
    await writeAll(demo, 'replace')
    const back = await readAll()
    expect(back.readings).toHaveLength(demo.readings.length)
    expect(back.shop).toEqual(demo.shop)
    expect(back.batches.find(b => b.id === demo.batches[0]?.id)).toEqual(demo.batches[0])
  })

  it('adds without losing what is there', async () => {
    await addBatch(fresh('mine'))
    await writeAll(demo, 'add')
    expect(await db.batches.count()).toBe(demo.batches.length + 1)
  })

  it('lets an old file take no newer work back, and takes what has gone further', async () => {
    await addBatch({ ...fresh('mine'), rev: 5, name: 'Here, newer' })
    await addBatch({ ...fresh('theirs'), rev: 1, name: 'Here, older' })
    const file = {
      ...demo,
      batches: [
        { ...fresh('mine'), rev: 2, name: 'File' },
        { ...fresh('theirs'), rev: 4, name: 'File' },
      ],
    }
    await writeAll(file, 'add')
    expect((await stored('mine')).name).toBe('Here, newer')
    expect((await stored('theirs')).name).toBe('File')
  })

  it('is written in one piece or not at all', async () => {
    await addBatch(fresh('mine'))
    vi.spyOn(db.runs, 'bulkPut').mockImplementation(
      () => Promise.reject(new DOMException('full', 'QuotaExceededError')) as never,
    )
    expect(await writeAll(demo, 'replace')).toBe(false)
    expect((await db.batches.toArray()).map(b => b.id)).toEqual(['mine'])
  })

  it('is seeded once, and stays empty when it was emptied', async () => {
    await seedOnce(async () => demo)
    expect(await db.batches.count()).toBe(demo.batches.length)
    await saveShop(s => ({ ...s, name: 'Ours' }))
    await clearAll()
    await seedOnce(async () => demo)
    expect(await db.batches.count()).toBe(0)
    expect((await readAll()).shop.name).toBe('Ours')
  })
})

/** The tables of version 1, as they were released. */
const FIRST_TABLES = {
  batches: 'id, updatedAt',
  readings: 'id, batchId, at',
  recipes: 'id, gradeName',
  runs: 'id, batchId, startedAt',
  shop: 'id',
  meta: 'key',
}

describe('data of an older version', () => {
  it('is kept whole when the maker’s own grades come in (1 to 2)', async () => {
    const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
    const first = new Dexie('older')
    first.version(1).stores(FIRST_TABLES)
    await first.table('batches').bulkPut(demo.batches)
    await first.table('readings').bulkPut(demo.readings)
    first.close()
    const now = new WorkshopDatabase('older')
    expect(await now.batches.count()).toBe(demo.batches.length)
    expect(await now.readings.count()).toBe(demo.readings.length)
    const [batch] = demo.batches
    expect(await now.batches.get(batch?.id ?? '')).toEqual(batch)
    expect(await now.grades.count()).toBe(0)
    now.close()
  })
})

describe('data of version 2', () => {
  const oven = { name: 'North oven', preset: 'large', maxC: 1230, correctionC: -11 }

  it('keeps its oven, first of several, with name and correction (2 to 3)', async () => {
    const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
    const second = new Dexie('second')
    second.version(2).stores({ ...FIRST_TABLES, grades: 'name' })
    const { ovens: _, hardeningOven: __, ...shop } = demo.shop
    await second.table('shop').put({ ...shop, oven })
    await second.table('batches').bulkPut(demo.batches)
    second.close()
    const now = new WorkshopDatabase('second')
    const kept = workshopSchema.parse(await now.shop.get('shop'))
    expect(kept.ovens.map(o => [o.name, o.use])).toEqual([
      ['North oven', 'hardening'],
      ['Tempering oven', 'tempering'],
    ])
    expect(kept.ovens[0]).toMatchObject({ preset: 'large', powerW: 3600, maxC: 1230, correctionC: -11 })
    expect(kept.name).toBe(demo.shop.name)
    expect(await now.batches.count()).toBe(demo.batches.length)
    expect(await now.logs.count()).toBe(0)
    now.close()
  })

  it('is read from a file of its time', () => {
    const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
    const { ovens: _, hardeningOven: __, ...shop } = demo.shop
    const { logs: ___, ...rest } = demo
    const file = JSON.stringify({
      format: 'tawny-ember-workshop',
      version: 2,
      exportedAt: '2026-06-15T12:00:00.000Z',
      ...rest,
      shop: { ...shop, oven },
    })
    const read = parseExchange(file)
    expect(read.ok && read.value.shop.ovens[0]?.correctionC).toBe(-11)
    expect(read.ok && read.value.batches).toHaveLength(demo.batches.length)
  })
})

describe('data of version 3', () => {
  const demo = makeDemoWorkshop(7, new Date('2026-06-15T12:00:00.000Z'))
  const older = demo.logs.map(({ load: _, ...log }) => log)
  const heat = demo.logs.find(log => log.load?.temper === 0)
  const groupIds = demo.batches.find(b => b.id === heat?.batchId)?.groups.map(g => g.id)

  it('has its logs of batches tied to their hardening heat (3 to 4)', async () => {
    const third = new Dexie('third')
    third.version(3).stores({ ...FIRST_TABLES, grades: 'name', logs: 'id, ovenId, batchId' })
    await third.table('batches').bulkPut(demo.batches)
    await third.table('logs').bulkPut(older)
    third.close()
    const now = new WorkshopDatabase('third')
    expect(await now.logs.count()).toBe(demo.logs.length)
    const kept = ovenLogSchema.parse(await now.logs.get(heat?.id ?? ''))
    expect(kept).toMatchObject({ name: heat?.name, points: heat?.points, load: { temper: 0, groupIds } })
    expect((await now.logs.filter(log => log.batchId === null).first())?.load).toBeNull()
    now.close()
  })

  it('is read from a file of its time', () => {
    const file = {
      format: 'tawny-ember-workshop',
      version: 3,
      exportedAt: '2026-06-15T12:00:00.000Z',
      ...demo,
      logs: older,
    }
    const read = parseExchange(JSON.stringify(file))
    expect(read.ok && read.value.logs.find(log => log.id === heat?.id)?.load).toEqual({ temper: 0, groupIds })
  })
})

describe('a log that grows', () => {
  it('keeps a moment that was put right meanwhile, and nothing comes back of one taken off', async () => {
    const log = newLog({ id: 'l', ovenId: 'o', name: 'log', addedAt: '2026-06-15T12:00:00.000Z' }, [
      [0, 20],
      [1, 30],
    ])
    await putLog(log)
    await changeLog('l', { loadedMin: 0.5 })
    await changeLog('l', { points: [...log.points, [2, 40]] })
    expect(await db.logs.get('l')).toMatchObject({ loadedMin: 0.5, pulledMin: null, points: { length: 3 } })
    await removeLog('l')
    await changeLog('l', { loadedMin: 1 })
    expect(await db.logs.get('l')).toBeUndefined()
  })
})

describe('a grade of one’s own', () => {
  it('is stored, exported with the rest, and not overwritten by a file', async () => {
    const sheet = fillSheet('Harbour 14', { C: 1.05, Cr: 14, Mo: 4 }) as GradeSheet
    expect(await putGrade(sheet)).toBe(true)
    expect((await readAll()).grades).toEqual([sheet])
    await writeAll({ ...(await readAll()), grades: [{ ...sheet, note: 'from a file' }] }, 'add')
    expect((await db.grades.get('Harbour 14'))?.note).toBe('')
    await removeGrade('Harbour 14')
    expect(await db.grades.count()).toBe(0)
  })
})
