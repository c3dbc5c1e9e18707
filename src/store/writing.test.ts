// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import type { Batch } from '../core/shop/batch'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { gradeOf, groupOf, trayOf } from '../testing/tray'
import { db } from './database'

/** Whether what writes can be fetched: not while the server is stopped. */
const server = vi.hoisted(() => ({ answers: true, isSlow: false }))
vi.mock('./fetch-writers', async original => {
  const { importWriters } = await original<typeof import('./fetch-writers')>()
  return {
    importWriters: () =>
      server.isSlow
        ? new Promise(() => undefined)
        : server.answers
          ? importWriters()
          : Promise.reject(new TypeError('Failed to fetch dynamically imported module')),
  }
})

/** A page that has fetched nothing of what writes. */
async function newPage() {
  vi.resetModules()
  return {
    ...(await import('./batches')),
    ...(await import('./records')),
    ...(await import('./shown-shop')),
    ...(await import('./read-batch')),
    ...(await import('./save-state')),
    ...(await import('./unsaved-batches')),
    ...(await import('./history')),
    ...(await import('../core/continuing')),
  }
}

beforeEach(() => {
  server.answers = true
  server.isSlow = false
})

const noted = (note: string) => (batch: Batch) => ({ ...batch, note })
/** A page on which a batch is stored that another page began. */
async function pageWith(id: string) {
  await (await newPage()).addBatch(trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }], { id }))
  const page = await newPage()
  const batch = await page.readBatch(id)
  if (!batch) throw new Error('not stored')
  return { page, batch, note: async () => (await page.readBatch(id))?.note }
}

describe('before what writes is here', () => {
  test('the first change waits for it and is stored', async () => {
    const { page, batch, note } = await pageWith('w1')
    expect(await page.editBatch(batch, 'Note', noted('one'))).toMatchObject({ saved: true })
    expect(await note()).toBe('one')
  })

  test('a change that cannot be written is said, stays on the page, and is stored once when tried again', async () => {
    const { page, batch, note } = await pageWith('w2')
    server.answers = false
    const longer = (now: Batch) => ({ ...now, note: `${now.note}+` })
    expect(await page.editBatch(batch, 'Note', longer)).toMatchObject({
      saved: false,
      problems: [{ code: 'writers-missing' }],
    })
    expect(page.unsavedBatches.get().get('w2')?.note).toBe('+')
    expect(await page.saveTrouble.get()?.retry()).toMatchObject({ saved: false })
    expect(await note()).toBe('')

    server.answers = true
    expect(await page.saveTrouble.get()?.retry()).toMatchObject({ saved: true })
    expect(await note()).toBe('+')
    expect(page.unsavedBatches.get().size).toBe(0)
    expect(page.saveTrouble.get()).toBeNull()
    expect(Object.keys(localStorage)).toEqual([])
  })

  test('a change that this page can never write is written by the next one, once', async () => {
    const { page, batch, note } = await pageWith('w4')
    server.answers = false
    await page.editBatch(batch, 'Note', noted('left'))
    expect(await note()).toBe('')
    server.answers = true
    await newPage()
    const { finishUnfinished } = await import('./unfinished')
    await finishUnfinished()
    expect(await note()).toBe('left')
    expect(Object.keys(localStorage)).toEqual([])
  })

  test('a change whose page goes while what writes is still under way is written by the next one', async () => {
    const { page, batch, note } = await pageWith('w5')
    page.shownShop.set({ ...DEFAULT_WORKSHOP, name: 'Before' })
    await db.shop.put({ ...DEFAULT_WORKSHOP, name: 'Before' })
    server.isSlow = true
    void page.editBatch(batch, 'Note', noted('in time'))
    void page.saveShop(shop => ({ ...shop, name: 'After' }))
    expect(await note()).toBe('')
    server.isSlow = false
    await newPage()
    const { finishUnfinished } = await import('./unfinished')
    await finishUnfinished()
    expect(await note()).toBe('in time')
    expect((await db.shop.get('shop'))?.name).toBe('After')
    expect(Object.keys(localStorage)).toEqual([])
  })

  test('what goes on from a change made a moment ago is taken back with it', async () => {
    const { page, batch, note } = await pageWith('w3')
    const first = page.editBatch(batch, 'Note', noted('a'))
    const second = page.continuing(() => page.editBatch(batch, 'Note', noted('ab')))
    await Promise.all([first, second])
    expect(await note()).toBe('ab')
    await page.undoStep()
    expect(await note()).toBe('')
  })
})

/** The page goes while something rests: the next one finds it. */
async function goneWith(rested: Readonly<Record<string, string>>) {
  await newPage()
  for (const [key, text] of Object.entries(rested)) localStorage.setItem(key, text)
  const { finishUnfinished } = await import('./unfinished')
  await finishUnfinished()
  expect(Object.keys(localStorage)).toEqual([])
}

/** The page went before its last change was written: the store is as it was. */
const neverMade = (): PromiseLike<unknown> => db.meta.where('key').startsWith('done ').delete()

describe('a change that was made as its page went, and still rests', () => {
  test('is not made twice: a steel that was added to a batch stands there once', async () => {
    const { page, batch } = await pageWith('w7')
    const adding = page.editBatch(batch, 'Add a steel', now => ({
      ...now,
      groups: [...now.groups, { ...groupOf(now), id: crypto.randomUUID() }],
    }))
    const rested = { ...localStorage }
    await adding
    await goneWith(rested)
    expect((await db.batches.get('w7'))?.groups).toHaveLength(2)
  })

  test('is not made twice: a check of the tester counts once', async () => {
    const page = await newPage()
    page.shownShop.set(DEFAULT_WORKSHOP)
    await db.shop.put(DEFAULT_WORKSHOP)
    const adding = page.saveShop(shop => ({
      ...shop,
      tester: {
        ...shop.tester,
        checks: [...shop.tester.checks, { id: crypto.randomUUID(), blockId: 'block', at: null, readings: [60.1] }],
      },
    }))
    const rested = { ...localStorage }
    await adding
    await goneWith(rested)
    expect((await db.shop.get('shop'))?.tester.checks).toHaveLength(1)
  })

  test('is known as made only while it rests', async () => {
    const { page, batch } = await pageWith('w8')
    for (const note of ['a', 'b', 'c']) await page.editBatch(batch, 'Note', noted(note))
    expect(await db.meta.where('key').startsWith('done ').count()).toBe(1)
  })
})

describe('a change of what was changed a moment before, which the page does not show yet', () => {
  test('is finished by the next page: of a batch', async () => {
    const { page, batch, note } = await pageWith('w6')
    await page.editBatch(batch, 'Note', noted('one'))
    const stored = await db.batches.get('w6')
    const second = page.editBatch(batch, 'Note', noted('two'))
    const rested = { ...localStorage }
    await second
    if (stored) await db.batches.put(stored)
    expect(await note()).toBe('one')
    await neverMade()
    await goneWith(rested)
    expect(await note()).toBe('two')
  })

  test('is finished by the next page: of the workshop', async () => {
    const page = await newPage()
    const named = (name: string) => page.saveShop(shop => ({ ...shop, name }))
    const was = { ...DEFAULT_WORKSHOP, name: 'Before' }
    page.shownShop.set(was)
    await db.shop.put(was)
    await named('One')
    const second = named('Two')
    const rested = { ...localStorage }
    await second
    await db.shop.put({ ...was, name: 'One' })
    await neverMade()
    await goneWith(rested)
    expect((await db.shop.get('shop'))?.name).toBe('Two')
  })

  test('is not begun from one that was refused', async () => {
    const page = await newPage()
    page.shownShop.set({ ...DEFAULT_WORKSHOP, roomC: 20 })
    await db.shop.put({ ...DEFAULT_WORKSHOP, roomC: 20 })
    expect(await page.saveShop(shop => ({ ...shop, roomC: 2000 }))).toMatchObject({ saved: false })
    const second = page.saveShop(shop => ({ ...shop, roomC: 25 }))
    const rested = { ...localStorage }
    await second
    await db.shop.put({ ...DEFAULT_WORKSHOP, roomC: 20 })
    await neverMade()
    await goneWith(rested)
    expect((await db.shop.get('shop'))?.roomC).toBe(25)
  })
})
