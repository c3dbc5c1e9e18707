// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import type { Batch } from '../core/shop/batch'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { gradeOf, trayOf } from '../testing/tray'
import { addBatch, editBatch } from './batches'
import { db } from './database'
import { takeUp } from './journal'
import { putDown } from './put-down'
import { readBatch } from './read-batch'
import { finishUnfinished } from './unfinished'

const fresh = (id: string): Batch => trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }], { id })

async function stored(id: string): Promise<Batch> {
  const batch = await readBatch(id)
  if (!batch) throw new Error(`no batch ${id}`)
  return batch
}

/** Stands for another page that has gone, whose journal stays. */
function anotherPage() {
  for (const key of Object.keys(localStorage).filter(one => one.startsWith('tawny-ember-unfinished/'))) {
    const [head = '', , tab = ''] = key.split('.')
    const text = localStorage.getItem(key) ?? ''
    localStorage.removeItem(key)
    localStorage.setItem([head, 'gone', tab].join('.'), text)
  }
}

describe('a page that goes before its write has ended', () => {
  /** Leaves a page right after a change, with its journal. */
  const leave = (before: Batch, after: Batch) => {
    putDown({ of: 'batch', before, after })
    anotherPage()
  }

  it('leaves the change to the next page, which finishes it once', async () => {
    await addBatch(fresh('u1'))
    const before = await stored('u1')
    leave(before, { ...before, note: 'half written' })
    await finishUnfinished()
    expect((await stored('u1')).note).toBe('half written')
    await editBatch(await stored('u1'), 'Note', b => ({ ...b, note: 'then changed' }))
    await finishUnfinished()
    expect((await stored('u1')).note).toBe('then changed')
  })

  it('does not take back what another tab did to the same part since; what it did elsewhere stands', async () => {
    await addBatch(fresh('u2'))
    const before = await stored('u2')
    leave(before, { ...before, note: 'mine' })
    await editBatch(before, 'Note', b => ({ ...b, note: 'theirs', name: 'Renamed' }))
    await finishUnfinished()
    expect(await stored('u2')).toMatchObject({ note: 'theirs', name: 'Renamed' })
    leave(await stored('u2'), { ...(await stored('u2')), note: 'later' })
    await editBatch(await stored('u2'), 'Name', b => ({ ...b, name: 'Again' }))
    await finishUnfinished()
    expect(await stored('u2')).toMatchObject({ note: 'later', name: 'Again' })
  })

  it('leaves it where it is until it is finished: a page that goes meanwhile leaves it to the next', async () => {
    await addBatch(fresh('u5'))
    const before = await stored('u5')
    leave(before, { ...before, note: 'twice left' })
    // The page between took it up and went.
    expect(takeUp()).toHaveLength(1)
    await finishUnfinished()
    expect((await stored('u5')).note).toBe('twice left')
    expect(takeUp()).toEqual([])
  })

  it('is not mistaken for the page that is still writing: its own are its own to finish', async () => {
    await addBatch(fresh('u6'))
    const before = await stored('u6')
    putDown({ of: 'batch', before, after: { ...before, note: 'being written' } })
    expect(takeUp(Date.now() + 60_000)).toEqual([])
    anotherPage()
    expect(takeUp()).toHaveLength(1)
    for (const { end } of takeUp()) end()
  })

  it('leaves to another tab what it is writing right now, and takes it up once that tab is surely gone', async () => {
    await addBatch(fresh('u4'))
    const before = await stored('u4')
    leave(before, { ...before, note: 'theirs' })
    const own = sessionStorage.getItem('tawny-ember-tab') ?? ''
    sessionStorage.setItem('tawny-ember-tab', 'another')
    expect(takeUp()).toEqual([])
    const taken = takeUp(Date.now() + 3000)
    expect(taken).toHaveLength(1)
    for (const { end } of taken) end()
    sessionStorage.setItem('tawny-ember-tab', own)
  })

  it('leaves nothing behind where the write ended, and settings of the shop alike', async () => {
    await addBatch(fresh('u3'))
    await editBatch(await stored('u3'), 'Note', b => ({ ...b, note: 'written' }))
    expect(takeUp()).toEqual([])
    const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
    await db.shop.put(shop)
    putDown({ of: 'shop', before: shop, after: { ...shop, name: 'Left behind' } })
    anotherPage()
    localStorage.setItem('tawny-ember-unfinished/x', '{"of":"batch"}')
    await finishUnfinished()
    expect((await db.shop.get('shop'))?.name).toBe('Left behind')
  })
})
