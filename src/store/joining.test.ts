import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { withRoute } from '../core/batch/route-edit'
import type { WorkshopData } from '../core/files/exchange'
import { emptyData } from '../core/files/pieces'
import { parseExchange } from '../core/files/read-exchange'
import { exportText } from '../core/files/write-exchange'
import type { Batch } from '../core/shop/batch'
import { countedRoll, cutFromRoll, leftOnRollMm } from '../core/shop/foil-roll'
import type { Oven } from '../core/shop/oven'
import { runOf } from '../testing/run'
import { expectOk, gradeOf, NOW, readingOf, trayOf } from '../testing/tray'
import { addAll, readAll, replaceAll } from './backup'
import { addBatch, editBatch, setDeleted } from './batches'
import { db } from './database'
import { takeOther } from './differences'
import { readBatch } from './read-batch'
import { addReadings, putRecipe, saveShop } from './records'
import { newWorkshop } from './seed'

const GRADE = gradeOf('X65Cr13')
const BATCH = { ...trayOf(GRADE, [{ mark: 'A', count: 3 }]), name: 'Gulls' }
const GROUP = BATCH.groups[0] as Batch['groups'][number]
const RECIPE = {
  id: 'r',
  name: 'Gull',
  gradeId: GRADE.id,
  gradeName: GRADE.name,
  target: { min: 59, max: 61 },
  retired: false,
  versions: [{ number: 1, at: NOW, route: GROUP.route, why: '' }],
}

/** The log as a file holds it. */
const saved = async (): Promise<WorkshopData> => {
  const { format: _, version: __, exportedAt: ___, ...data } = expectOk(parseExchange(exportText(await readAll(), NOW)))
  return data
}

let start: WorkshopData

beforeEach(async () => {
  await replaceAll(emptyData({ ...newWorkshop(), origin: 'one-shop' }))
  await addBatch(BATCH)
  await putRecipe(RECIPE)
  start = await saved()
})

/** Another screen that begins with a file, and what it saves after some work of its own. */
async function onAnotherScreen(from: WorkshopData, work: () => Promise<unknown>): Promise<WorkshopData> {
  await replaceAll(from)
  await work()
  return saved()
}

const here = async (): Promise<Batch> => {
  const batch = await readBatch(BATCH.id)
  if (!batch) throw new Error('the batch is gone')
  return batch
}
const edit = async (change: (batch: Batch) => Batch) => editBatch(await here(), 'Edit', change)
const blade = (batch: Batch, id: string, change: (one: Batch['blades'][number]) => Batch['blades'][number]): Batch => ({
  ...batch,
  blades: batch.blades.map(one => (one.id === id ? change(one) : one)),
})

/** The rows that two logs have in common, whatever order their tables are in and however often each was saved. */
const alike = ({ batches, seen: _, shop, ...tables }: WorkshopData) => {
  const sorted = <T extends { readonly id: string }>(rows: readonly T[]) =>
    [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))
  return {
    shop,
    batches: sorted(batches.map(({ rev: __, updatedAt: ___, ...batch }) => batch)),
    ...Object.fromEntries(Object.entries(tables).map(([name, rows]) => [name, sorted<{ readonly id: string }>(rows)])),
  }
}

/** Joins two files both ways: the logs of both screens. */
async function joinedBothWays(one: WorkshopData, other: WorkshopData): Promise<[WorkshopData, WorkshopData]> {
  const first = await onAnotherScreen(one, () => addAll(other))
  const second = await onAnotherScreen(other, () => addAll(one))
  return [first, second]
}

describe('a workshop on two screens, joined by files', () => {
  it('has the work of both, whichever file is added to which, and again without effect', async () => {
    const desk = await onAnotherScreen(start, async () => {
      await edit(batch => ({ ...batch, note: 'for the inn' }))
      await edit(batch =>
        blade(batch, 'A1', one => ({ ...one, states: [{ is: 'sold', at: NOW, why: '', to: 'Inn' }] })),
      )
      await putRecipe({
        ...RECIPE,
        versions: [...RECIPE.versions, { number: 2, at: '2026-05-03T08:00:00.000Z', route: GROUP.route, why: 'desk' }],
      })
      await saveShop(shop => ({ ...shop, roomC: 17 }))
    })
    const oven = await onAnotherScreen(start, async () => {
      await addReadings([readingOf('A1', 60, 'temper-2', { id: 'read', batchId: BATCH.id })])
      await edit(batch => blade(batch, 'A1', one => ({ ...one, finished: ['scale'] })))
      await edit(batch => ({ ...batch, name: 'Gulls, spring' }))
      await putRecipe({
        ...RECIPE,
        versions: [...RECIPE.versions, { number: 2, at: '2026-05-04T08:00:00.000Z', route: GROUP.route, why: 'oven' }],
      })
      await saveShop(shop => ({ ...shop, name: 'Inlet' }))
    })
    const [one, other] = await joinedBothWays(desk, oven)
    expect(alike(one)).toEqual(alike(other))
    expect(one.batches[0]).toMatchObject({ name: 'Gulls, spring', note: 'for the inn' })
    expect(one.blades.find(({ id }) => id === 'A1')).toMatchObject({ finished: ['scale'], states: [{ to: 'Inn' }] })
    expect(one.readings.map(({ id }) => id)).toEqual(['read'])
    expect(one.recipes[0]?.versions.map(({ number, why }) => [number, why])).toEqual([
      [1, ''],
      [2, 'desk'],
      [3, 'oven'],
    ])
    expect(one.shop).toMatchObject({ roomC: 17, name: 'Inlet' })
    expect(await db.differences.count()).toBe(0)
    const again = await onAnotherScreen(one, () => addAll(oven))
    expect(alike(again)).toEqual(alike(one))
    expect(again.batches).toEqual(one.batches)
  })

  it('takes from the roll what each cut from it', async () => {
    await saveShop(shop => ({ ...shop, foil: { ...shop.foil, leftMm: 5000 } }))
    const roll = await saved()
    const cutting = (id: string, mm: number) =>
      onAnotherScreen(roll, () => saveShop(shop => ({ ...shop, foil: cutFromRoll(shop.foil, { id, mm }) })))
    const desk = await cutting('desk', 1200)
    const [one, other] = await joinedBothWays(desk, await cutting('oven', 900))
    expect([leftOnRollMm(one.shop.foil), leftOnRollMm(other.shop.foil)]).toEqual([2900, 2900])
    // Counted anew on one, which knew of its own cut alone: the other's is still missing from what it counted.
    const counted = await onAnotherScreen(desk, () =>
      saveShop(shop => ({ ...shop, foil: countedRoll(shop.foil, 7600) })),
    )
    const [first, second] = await joinedBothWays(counted, await cutting('late', 600))
    expect([leftOnRollMm(first.shop.foil), leftOnRollMm(second.shop.foil)]).toEqual([7000, 7000])
  })

  it('keeps a temper set by hand on one while the other only chose another target', async () => {
    const desk = await onAnotherScreen(start, () =>
      edit(batch => ({
        ...batch,
        groups: batch.groups.map(g => withRoute(g, { ...g.route, tempers: [{ atC: 233, holdMin: 60 }] })),
      })),
    )
    const oven = await onAnotherScreen(start, () =>
      edit(batch => ({ ...batch, groups: batch.groups.map(g => ({ ...g, target: { min: 55, max: 57 } })) })),
    )
    const [one, other] = await joinedBothWays(desk, oven)
    expect(alike(one)).toEqual(alike(other))
    const [group] = one.batches[0]?.groups ?? []
    expect(group).toMatchObject({ target: { min: 55, max: 57 }, fixed: ['tempers'] })
    expect(group?.route.tempers).toEqual([{ atC: 233, holdMin: 60 }])
  })

  it('keeps a batch that one deleted and the other went on with, and says so', async () => {
    const desk = await onAnotherScreen(start, async () => setDeleted(await here(), true))
    const idle = await onAnotherScreen(start, () => Promise.resolve())
    expect((await joinedBothWays(desk, idle)).map(log => log.batches[0]?.deletedAt !== null)).toEqual([true, true])
    const oven = await onAnotherScreen(start, () =>
      addReadings([readingOf('A2', 60, 'temper-2', { id: 'late', batchId: BATCH.id })]),
    )
    await replaceAll(desk)
    expect((await addAll(oven))?.returned).toEqual([{ table: 'batches', id: BATCH.id, name: 'Gulls' }])
    const one = await saved()
    const other = await onAnotherScreen(oven, () => addAll(desk))
    expect([one, other].map(log => log.batches[0]?.deletedAt)).toEqual([null, null])
  })

  it('takes neither the batch nor the oven of a run that goes on away', async () => {
    const [first] = start.shop.ovens
    const second = { ...(first as Oven), id: 'second', name: 'Second' }
    const both = await onAnotherScreen(start, async () => {
      await saveShop(shop => ({ ...shop, ovens: [...shop.ovens, second] }))
      await edit(batch => ({ ...batch, ovenId: 'second', ovenName: 'Second' }))
    })
    const desk = await onAnotherScreen(both, async () => {
      await setDeleted(await here(), true)
      await saveShop(shop => ({ ...shop, ovens: shop.ovens.filter(({ id }) => id !== 'second') }))
    })
    const hot: WorkshopData = { ...both, runs: [runOf(BATCH, { id: 'hot', mode: 'shop' })] }
    for (const log of await joinedBothWays(desk, hot)) {
      expect(log.batches[0]?.deletedAt).toBeNull()
      expect(log.shop.ovens.map(({ id }) => id)).toContain('second')
    }
  })

  it('says that a record is gone whose other value is wanted', async () => {
    const gone = {
      table: 'recipes',
      id: 'nowhere',
      path: 'name',
      here: 'a',
      there: 'b',
      taken: 'here',
      key: 'k',
    } as const
    await db.differences.put({ ...gone, name: '', entry: null, hereAt: null, thereAt: null })
    expect(await takeOther({ ...gone, name: '', entry: null, hereAt: null, thereAt: null })).toBe('gone')
    expect(await db.differences.count()).toBe(0)
  })

  it('lists what both changed with both values, and takes the other in one step that can be taken back', async () => {
    const withTarget = (min: number) => (batch: Batch) => ({
      ...batch,
      groups: batch.groups.map(g => ({ ...g, target: { min, max: 63 } })),
    })
    await onAnotherScreen(start, () => edit(withTarget(58)))
    const first = await saved()
    await onAnotherScreen(start, () => edit(withTarget(60)))
    await addAll(first)
    expect((await db.differences.toArray()).map(one => [one.name, one.entry])).toEqual([['Gulls', GRADE.name]])
    const desk = await onAnotherScreen(start, () => edit(batch => ({ ...batch, name: 'Desk' })))
    const oven = await onAnotherScreen(start, () => edit(batch => ({ ...batch, name: 'Oven' })))
    await replaceAll(desk)
    expect((await addAll(oven))?.differences).toBe(1)
    const [difference] = await db.differences.toArray()
    expect(difference).toMatchObject({ table: 'batches', path: 'name', here: 'Desk', there: 'Oven', taken: 'there' })
    if (!difference) throw new Error('no difference')
    expect((await here()).name).toBe('Oven')
    await takeOther(difference)
    expect((await here()).name).toBe('Desk')
    expect(await db.differences.count()).toBe(0)
    // What was chosen is a change of its own: the other screen takes it.
    const chosen = await saved()
    await replaceAll(oven)
    expect((await addAll(chosen))?.differences).toBe(0)
    expect((await here()).name).toBe('Desk')
  })

  it('gives the blade of the later batch another serial where both screens gave one', async () => {
    const later = { ...trayOf(GRADE, [{ mark: 'B', count: 1 }]), id: 'desk', createdAt: '2026-06-01T08:00:00.000Z' }
    const of = (id: string, createdAt: string) =>
      ({
        ...later,
        id,
        createdAt,
        blades: later.blades.map(one => ({ ...one, id: `blade-${id}`, batchId: id, serial: '' })),
      }) as Batch
    const desk = await onAnotherScreen(start, () => addBatch(of('desk', '2026-06-01T08:00:00.000Z')))
    const oven = await onAnotherScreen(start, () => addBatch(of('oven', '2026-06-02T08:00:00.000Z')))
    const serialOf = (log: WorkshopData, id: string) => log.blades.find(one => one.id === id)?.serial
    expect(serialOf(desk, 'blade-desk')).toBe(serialOf(oven, 'blade-oven'))
    const [one, other] = await joinedBothWays(desk, oven)
    expect(serialOf(one, 'blade-desk')).toBe(serialOf(desk, 'blade-desk'))
    expect(serialOf(one, 'blade-oven')).not.toBe(serialOf(one, 'blade-desk'))
    expect(alike(one)).toEqual(alike(other))
  })

  it('keeps an oven that one removed and the other planned a batch for', async () => {
    const oven = { ...(start.shop.ovens[0] as Oven), id: 'second', name: 'Second' }
    const both = await onAnotherScreen(start, () => saveShop(shop => ({ ...shop, ovens: [...shop.ovens, oven] })))
    const desk = await onAnotherScreen(both, () =>
      saveShop(shop => ({ ...shop, ovens: shop.ovens.filter(({ id }) => id !== 'second') })),
    )
    const idle = await onAnotherScreen(both, () => Promise.resolve())
    const ovensOf = (log: WorkshopData) => log.shop.ovens.map(({ id }) => id)
    for (const log of await joinedBothWays(desk, idle)) expect(ovensOf(log)).not.toContain('second')
    const tablet = await onAnotherScreen(both, () =>
      edit(batch => ({ ...batch, ovenId: 'second', ovenName: 'Second' })),
    )
    for (const log of await joinedBothWays(desk, tablet)) expect(ovensOf(log)).toContain('second')
  })

  it('lays another workshop’s record of the same id beside its own, by name, once', async () => {
    await replaceAll(start)
    const theirs: WorkshopData = {
      ...start,
      shop: { ...start.shop, origin: 'other-shop', name: 'Skerry' },
      batches: start.batches.map(batch => ({ ...batch, note: 'theirs' })),
      recipes: [],
    }
    for (const _ of [1, 2]) await addAll(theirs)
    const log = await saved()
    expect(log.batches.map(({ name, note }) => [name, note])).toEqual([
      ['Gulls', ''],
      ['Gulls (Skerry)', 'theirs'],
    ])
    expect(log.blades).toHaveLength(6)
    expect(new Set(log.blades.map(({ serial }) => serial)).size).toBe(6)
  })

  it('stamps what was changed alone, and nothing of what is only worked out', async () => {
    await replaceAll(start)
    await edit(batch => ({ ...batch, note: 'one word' }))
    expect((await saved()).stamps.map(({ id, f }) => [id, Object.keys(f)])).toEqual([[`batches/${BATCH.id}`, ['note']]])
  })
})
