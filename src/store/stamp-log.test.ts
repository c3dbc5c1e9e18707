import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { emptyData } from '../core/files/pieces'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { gradeOf, NOW, readingOf, trayOf } from '../testing/tray'
import { replaceAll } from './backup'
import { addBatch, editBatch, setDeleted } from './batches'
import { db } from './database'
import { readLogStamp } from './log-stamp'
import { addReadings, putRecipe, removeReading, saveShop } from './records'
import { newWorkshop } from './seed'
import { readNewestLog, readShopLog } from './shop-log'

const BATCH = trayOf(gradeOf('X105CrMo17'), [{ mark: 'A', count: 2 }])
const READING = readingOf('A1', 60, 'as-quenched', { batchId: BATCH.id })

beforeEach(async () => {
  await replaceAll(emptyData(newWorkshop()))
  await addBatch(BATCH)
  await addReadings([READING])
})

/** Whether the log has another stamp after something than before. */
async function stampsAnew(act: () => Promise<unknown>): Promise<boolean> {
  const before = await readLogStamp()
  expect(before).not.toBeNull()
  await act()
  return (await readLogStamp()) !== before
}

describe('the stamp of the log', () => {
  it.each<[what: string, act: () => Promise<unknown>]>([
    ['a batch is begun', () => addBatch({ ...BATCH, id: 'other', blades: [] })],
    ['a batch is changed', () => editBatch(BATCH, 'Note', batch => ({ ...batch, note: 'another' }))],
    ['a batch is deleted', () => setDeleted(BATCH, true)],
    ['a reading is entered', () => addReadings([{ ...READING, id: 'second' }])],
    ['a reading is taken out', () => removeReading(READING.id, 'Out')],
    ['the tester is changed', () => saveShop(shop => ({ ...shop, tester: { ...shop.tester, offsetHrc: 1 } }))],
    ['a file takes the place of everything', () => replaceAll(emptyData(newWorkshop()))],
    ['a row is written past the writers', () => db.blades.update('A1', { serial: 'X' })],
    ['rows are cleared', () => db.readings.clear()],
  ])('is another after %s', async (_, act) => expect(await stampsAnew(act)).toBe(true))

  it('stays after what no answer from the log rests on', async () => {
    const route = BATCH.groups[0]?.route
    if (!route) throw new Error('no route')
    const recipe = {
      id: 'r',
      name: 'R',
      gradeId: gradeOf('X65Cr13').id,
      gradeName: 'X65Cr13',
      target: { min: 58, max: 60 },
      retired: false,
      versions: [{ number: 1, at: NOW, why: '', route: { ...route, from: { kind: 'typed' } } }],
    }
    expect(await stampsAnew(() => putRecipe(recipe as unknown as Parameters<typeof putRecipe>[0]))).toBe(false)
    expect(await stampsAnew(() => db.meta.put({ key: 'something', value: 'else' }))).toBe(false)
  })

  it('stays where a change is not made after all', async () => {
    const failed = () =>
      db
        .transaction('rw', [db.batches], async () => {
          await db.batches.update(BATCH.id, { note: 'half' })
          throw new Error('off')
        })
        .catch(() => undefined)
    expect(await stampsAnew(failed)).toBe(false)
  })

  it('comes with the log that is read, as it was then', async () => {
    for (const read of [readShopLog, () => readNewestLog(() => true)]) {
      const { log, stamp } = await read()
      expect(stamp).toBe(await readLogStamp())
      expect(log.tester).toEqual(DEFAULT_WORKSHOP.tester)
      await addReadings([{ ...READING, id: crypto.randomUUID() }])
      expect((await read()).stamp).not.toBe(stamp)
    }
  })
})
