import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import Dexie from 'dexie'
import { describe, expect, it } from 'vitest'
import { batchRecordSchema } from '../core/shop/batch'
import { bladeSchema } from '../core/shop/blade'
import { leftOnRollMm } from '../core/shop/foil-roll'
import { gradeSheetSchema } from '../core/shop/grade-sheet'
import { ovenLogSchema } from '../core/shop/oven-log'
import { pictureSchema } from '../core/shop/picture'
import { readingSchema } from '../core/shop/reading'
import { recipeSchema } from '../core/shop/recipe'
import { ROUTE_PARTS } from '../core/shop/route-parts'
import { runSchema } from '../core/shop/run'
import { workshopSchema } from '../core/shop/workshop'
import { SETUP_STEPS } from '../data/setup'
import { expectWhole, OLDER_VERSIONS, type OlderVersion, olderWorkshop } from '../testing/older-workshop'
import { WorkshopDatabase } from './database'
import { refusalOf } from './save-state'

/** The tables each version was released with; never edited. */
const TABLES: Record<OlderVersion, Record<string, string>> = {
  1: {
    batches: 'id, updatedAt',
    readings: 'id, batchId, at',
    recipes: 'id, gradeName',
    runs: 'id, batchId, startedAt',
    shop: 'id',
    meta: 'key',
  },
  2: { grades: 'name' },
  3: { logs: 'id, ovenId, batchId' },
  4: {},
}

/** The tables of the versions after those, likewise. */
const LATER: Readonly<Record<number, Record<string, string | null>>> = {
  5: {
    blades: 'id, batchId, serial',
    readings: 'id, batchId, bladeId, at',
    recipes: 'id, gradeId',
    ownGrades: 'id, name',
  },
  6: { grades: null },
  7: {},
  8: {},
  9: { runs: 'id, *batchIds, startedAt' },
  10: { pictures: 'id, bladeId, batchId' },
  11: { batches: 'id, updatedAt, createdAt', blades: 'id, batchId, serial, edgeTests.length' },
  12: {},
  13: { batches: 'id, updatedAt, createdAt, deletedAt' },
  14: { stamps: 'id', differences: 'key' },
}

/** A browser's database as the application of a later version left it, with some of its records. */
async function leaveLater(name: string, version: number, rows: Readonly<Record<string, readonly unknown[]>>) {
  const database = new Dexie(name)
  for (const v of OLDER_VERSIONS) database.version(v).stores(TABLES[v])
  for (const [v, tables] of Object.entries(LATER)) if (Number(v) <= version) database.version(Number(v)).stores(tables)
  for (const [table, records] of Object.entries(rows)) await database.table(table).bulkPut(records)
  database.close()
}

/** Returns the rows of a workshop file in the tables a browser had then. */
const rowsOf = (file: Record<string, readonly unknown[]>, shop: unknown) => ({
  ...Object.fromEntries(
    ['batches', 'blades', 'readings', 'recipes', 'runs', 'logs'].map(table => [table, file[table] ?? []]),
  ),
  shop: [shop],
})

const untested = ({ edgeTests: _, ...blade }: Record<string, unknown>) => blade

/** A browser's database as the application of a version left it. */
async function leave(name: string, version: OlderVersion) {
  const old = olderWorkshop(version)
  const database = new Dexie(name)
  for (const v of OLDER_VERSIONS) if (v <= version) database.version(v).stores(TABLES[v])
  for (const table of ['batches', 'readings', 'recipes', 'runs', 'grades', 'logs'])
    if (old[table]) await database.table(table).bulkPut(old[table])
  await database.table('shop').put(old.shop)
  await database.table('meta').put({ key: 'seeded', value: old.exportedAt })
  database.close()
  return old
}

async function contents(database: WorkshopDatabase) {
  const [shop] = await database.shop.toArray()
  return {
    shop: workshopSchema.parse(shop),
    batches: (await database.batches.toArray()).map(row => batchRecordSchema.parse(row)),
    blades: (await database.blades.toArray()).map(row => bladeSchema.parse(row)),
    readings: (await database.readings.toArray()).map(row => readingSchema.parse(row)),
    recipes: (await database.recipes.toArray()).map(row => recipeSchema.parse(row)),
    runs: (await database.runs.toArray()).map(row => runSchema.parse(row)),
    grades: (await database.ownGrades.toArray()).map(row => gradeSheetSchema.parse(row)),
    logs: (await database.logs.toArray()).map(row => ovenLogSchema.parse(row)),
    pictures: (await database.pictures.toArray()).map(row => pictureSchema.parse(row)),
    stamps: await database.stamps.toArray(),
    seen: {},
  }
}

describe.each(OLDER_VERSIONS)('a browser that last ran version %i', version => {
  it('has everything it had, in the shape of today', async () => {
    const old = await leave(`left-by-${version}`, version)
    const database = new WorkshopDatabase(`left-by-${version}`)
    const now = await contents(database)
    expectWhole(old, now)
    expect(now.shop.name).toBe(old.shop.name)
    expect((await database.meta.get('seeded'))?.value).toBe(old.exportedAt)
    expect(database.tables.map(table => table.name)).not.toContain('grades')
    database.close()
  })

  it('is asked once: opened again nothing moves', async () => {
    await leave(`twice-${version}`, version)
    const first = new WorkshopDatabase(`twice-${version}`)
    const once = await contents(first)
    first.close()
    const second = new WorkshopDatabase(`twice-${version}`)
    expect(await contents(second)).toEqual(once)
    second.close()
  })
})

const WRITES = ['put', 'add', 'delete'] as const

/** Opens a database in a browser that is killed at a write of its upgrade; whether it came through, having no more writes than that. */
async function openKilledAt(name: string, killAt: number): Promise<boolean> {
  const as = WRITES.map(write => IDBObjectStore.prototype[write])
  let writes = 0
  for (const [i, write] of WRITES.entries())
    IDBObjectStore.prototype[write] = function (this: IDBObjectStore, ...args: unknown[]) {
      writes++
      if (writes === killAt) this.transaction.abort()
      return (as[i] as (...args: unknown[]) => IDBRequest).apply(this, args)
    } as never
  const database = new WorkshopDatabase(name)
  const came = await database.open().then(
    () => true,
    () => false,
  )
  database.close()
  for (const [i, write] of WRITES.entries()) IDBObjectStore.prototype[write] = as[i] as never
  return came
}

/** Every record as it is stored, whatever shape it has. */
async function rawOf(name: string) {
  const database = await new Dexie(name).open()
  const rows = await Promise.all(database.tables.map(async table => [table.name, await table.toArray()] as const))
  database.close()
  return { version: database.verno, rows: Object.fromEntries(rows) }
}

describe.each(OLDER_VERSIONS)(
  'a browser that last ran version %i and is killed in the midst of its upgrade',
  version => {
    it('has what it had, and everything in the shape of today once it comes through', async () => {
      const name = `killed-${version}`
      const old = await leave(name, version)
      const before = await rawOf(name)
      let kills = 0
      // After the first write, the second, the third, the fifth, … until none is left to be killed at.
      for (let [killAt, next] = [1, 2]; !(await openKilledAt(name, killAt)); [killAt, next] = [next, killAt + next]) {
        kills++
        expect(await rawOf(name), `killed at write ${killAt}`).toEqual(before)
      }
      expect(kills).toBeGreaterThan(3)
      const now = new WorkshopDatabase(name)
      expectWhole(old, await contents(now))
      now.close()
    })
  },
)

describe('a browser that last ran version 6', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v5.json', import.meta.url), 'utf8'))

  it('has every batch as it was, with its routes the maker’s own', async () => {
    await leaveLater('left-by-6', 6, rowsOf(file, file.shop))
    const now = new WorkshopDatabase('left-by-6')
    const { batches, blades, readings } = await contents(now)
    expect(batches).toHaveLength(file.batches.length)
    for (const batch of batches) {
      const was = file.batches.find((b: { id: string }) => b.id === batch.id)
      expect(batch.groups.map(g => g.route)).toEqual(was.groups.map((g: { route: unknown }) => g.route))
      for (const group of batch.groups) expect(group.fixed).toEqual([...ROUTE_PARTS])
    }
    expect([blades.length, readings.length]).toEqual([file.blades.length, file.readings.length])
    now.close()
  })
})

describe('a browser that last ran version 7', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v6.json', import.meta.url), 'utf8'))

  it('has its shop as it was, and counts it as said', async () => {
    await leaveLater('left-by-7', 7, rowsOf(file, { ...file.shop, origin: 'a-shop' }))
    const now = new WorkshopDatabase('left-by-7')
    const { shop, batches, blades } = await contents(now)
    expect(shop).toEqual({ ...file.shop, origin: 'a-shop', isDemo: false, said: [...SETUP_STEPS] })
    expect(batches).toEqual(expect.arrayContaining(file.batches))
    expect(blades).toHaveLength(file.blades.length)
    now.close()
  })
})

describe('a browser that last ran version 8', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v7.json', import.meta.url), 'utf8'))

  it('has every run with every press, found by any of its batches', async () => {
    await leaveLater('left-by-8', 8, rowsOf(file, file.shop))
    const now = new WorkshopDatabase('left-by-8')
    const { runs, shop } = await contents(now)
    expect(shop).toEqual(file.shop)
    expect(runs.map(run => [run.id, run.events.length])).toEqual(
      expect.arrayContaining(file.runs.map((run: { id: string; events: unknown[] }) => [run.id, run.events.length])),
    )
    const found = await now.runs.where('batchIds').equals(file.runs[0].batchId).toArray()
    expect(found).toHaveLength(file.runs.length)
    now.close()
  })
})

describe('a browser that last ran version 9', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v8.json', import.meta.url), 'utf8'))

  it('has everything as it was, and room for pictures', async () => {
    await leaveLater('left-by-9', 9, rowsOf(file, file.shop))
    const now = new WorkshopDatabase('left-by-9')
    const { pictures, grades: _, ...rest } = await contents(now)
    const byId = (rows: readonly { id: string }[]) => [...rows].sort((a, b) => a.id.localeCompare(b.id))
    for (const table of ['batches', 'blades', 'readings', 'recipes', 'runs', 'logs'] as const)
      expect(byId(rest[table])).toEqual(byId(file[table]))
    expect([rest.shop, pictures]).toEqual([file.shop, []])
    now.close()
  })
})

describe('a browser that last ran version 10', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v8.json', import.meta.url), 'utf8'))

  it('finds its newest batches, and the blades whose edge was tested, without reading the rest', async () => {
    const [first, ...rest] = file.blades
    const test = { id: 'test-1', at: '2026-01-02T10:00:00.000Z', kind: 'brass-rod', edgeDeg: 18, result: 'holds' }
    const blades = [{ ...first, edgeTests: [test] }, ...rest.map(untested)]
    await leaveLater('left-by-10', 10, { blades, batches: file.batches })
    const now = new WorkshopDatabase('left-by-10')
    expect((await now.blades.where('edgeTests.length').above(0).toArray()).map(blade => blade.id)).toEqual([first.id])
    expect((await now.batches.orderBy('createdAt').toArray()).map(batch => batch.createdAt)).toEqual(
      file.batches.map((batch: { createdAt: string }) => batch.createdAt).sort(),
    )
    expect(await now.blades.count()).toBe(file.blades.length)
    now.close()
  })
})

describe('a browser that last ran version 12', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v8.json', import.meta.url), 'utf8'))

  it('tells which batches were deleted without reading any, and has all of them as they were', async () => {
    const [first, ...rest] = file.batches
    const deleted = { ...first, id: 'gone', deletedAt: '2026-03-04T10:00:00.000Z' }
    await leaveLater('left-by-12', 12, { batches: [deleted, first, ...rest] })
    const now = new WorkshopDatabase('left-by-12')
    expect(await now.batches.orderBy('deletedAt').primaryKeys()).toEqual(['gone'])
    const byId = (batches: readonly { id: string }[]) => [...batches].sort((one, other) => (one.id < other.id ? -1 : 1))
    expect(byId(await now.batches.toArray())).toEqual(byId([deleted, first, ...rest]))
    now.close()
  })
})

describe('a browser that last ran version 14', () => {
  const file = JSON.parse(readFileSync(new URL('../core/files/fixtures/workshop-v8.json', import.meta.url), 'utf8'))

  it('has on its roll what it had, and its stamps; the version before writes no more', async () => {
    const shop = { ...file.shop, foil: { ...file.shop.foil, leftMm: 4200 } }
    const stamps = [{ id: 'shop/shop', f: { 'foil/leftMm': [1_764_662_400_000_000, 's1'] } }]
    await leaveLater('left-by-14', 14, { ...rowsOf(file, shop), stamps })
    const now = new WorkshopDatabase('left-by-14')
    const has = await contents(now)
    expect(has.shop).toEqual(shop)
    expect(leftOnRollMm(has.shop.foil)).toBe(4200)
    expect(has.stamps).toEqual(stamps)
    expect(now.verno).toBeGreaterThan(14)
    now.close()
  })
})

describe('data that a newer version has brought further', () => {
  it('are read as ever and never written: what this version does not know stays as it is', async () => {
    const newer = new Dexie('newer')
    newer.version(99).stores({ ...TABLES[3], batches: 'id, updatedAt, createdAt', blades: 'id, batchId, serial' })
    const kept = { id: 'b1', name: 'Tray', from: 'a field of the future' }
    await newer.table('batches').put(kept)
    newer.close()
    const older = new WorkshopDatabase('newer')
    expect(await older.table('batches').toArray()).toEqual([kept])
    expect(older.isNewer).toBe(true)
    const refused = await older
      .table('batches')
      .put({ id: 'b1', name: 'Other' })
      .catch((error: unknown) => error)
    expect(refusalOf(refused).code).toBe('storage-newer')
    await expect(older.table('batches').delete('b1')).rejects.toThrow()
    expect(await older.table('batches').toArray()).toEqual([kept])
    older.close()
    const own = new WorkshopDatabase('of-this-version')
    await own.table('meta').put({ key: 'seeded', value: 'now' })
    expect(own.isNewer).toBe(false)
    own.close()
  })
})

describe('the one oven of the first versions', () => {
  it('is first of several, with its name, its limit and its correction', async () => {
    const old = await leave('one-oven', 2)
    const database = new WorkshopDatabase('one-oven')
    const { shop, batches } = await contents(database)
    expect(shop.ovens.map(o => [o.name, o.use])).toEqual([
      ['Old Gannet', 'hardening'],
      ['Tempering oven', 'tempering'],
    ])
    expect(shop.ovens[0]).toMatchObject({ preset: 'medium', maxC: old.shop.oven.maxC, correctionC: 0 })
    expect([shop.hardeningOvenId, shop.temperingOvenId]).toEqual(['oven-1', 'oven-2'])
    expect(batches.find(b => b.name === 'Net knives')).toMatchObject({ ovenId: 'oven-1', ovenName: 'Old Gannet' })
    database.close()
  })
})
