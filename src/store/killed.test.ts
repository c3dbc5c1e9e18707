import 'fake-indexeddb/auto'
import type { DBCore, DBCoreMutateRequest, DBCoreTable } from 'dexie'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { setCount } from '../core/batch/tray-edit'
import type { Saving } from '../core/codes/result'
import { emptyData } from '../core/files/pieces'
import { createRandom, type Random } from '../core/numeric/random'
import { batchSchema } from '../core/shop/batch'
import { partBatch, withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Recipe } from '../core/shop/recipe'
import { tries } from '../testing/endure'
import { gradeOf, NOW, readingOf, trayOf } from '../testing/tray'
import { addAll, readAll, replaceAll } from './backup'
import { addBatch, editBatch } from './batches'
import { db } from './database'
import { forgetHistory } from './history'
import { readBatch } from './read-batch'
import { addReadings, saveShop } from './records'

const LONGEST_MS = 300_000

/** How many writes to a table are still let through; then the browser is gone, in the midst of a transaction. */
let left = Number.POSITIVE_INFINITY
let isDead = false

/** The storage layer of a browser that can be killed: at a write, or with all of them done and the transaction not ended yet. */
const killable = (core: DBCore): DBCore => ({
  ...core,
  table: (name): DBCoreTable => {
    const table = core.table(name)
    return {
      ...table,
      mutate: async (request: DBCoreMutateRequest) => {
        const isBefore = left % 1 !== 0
        if (!isDead && left < 1 && isBefore) kill(request)
        if (isDead) throw new Error('the browser is gone')
        const done = await table.mutate(request)
        left--
        if (left <= 0 && !isBefore) kill(request)
        return done
      },
    }
  },
})

function kill({ trans }: DBCoreMutateRequest) {
  isDead = true
  ;(trans as unknown as IDBTransaction).abort()
}

/** Does something in a browser that is killed at a write; what of it stood when the page was told so. */
async function killedAt(writes: number, act: () => Promise<boolean>): Promise<{ readonly told: boolean }> {
  ;[left, isDead] = [writes, false]
  const told = await act().then(
    saved => saved && !isDead,
    () => false,
  )
  // It is started again.
  ;[left, isDead] = [Number.POSITIVE_INFINITY, false]
  forgetHistory()
  return { told }
}

const BATCH = trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }], { id: 'endured' })
const name = (count: number) => `N${count}`

/** One thing a maker does, and whether all of it or nothing of it is stored. */
interface Act {
  readonly what: string
  readonly act: (count: number) => Promise<Saving>
  /** About how many writes it takes. */
  readonly writes: number
  /** Markers of the write: the same everywhere it writes, or something is half done. */
  readonly marks: () => Promise<readonly string[]>
}

const stored = async () => {
  const batch = await readBatch(BATCH.id)
  if (!batch) throw new Error('the batch is lost')
  return batch
}

const ACTS: readonly Act[] = [
  {
    what: 'a batch is changed with all of its blades',
    writes: 4,
    act: async count =>
      editBatch(await stored(), 'Note', batch => ({
        ...batch,
        note: name(count),
        blades: batch.blades.map((blade, i) => ({ ...blade, serial: `${name(count)} ${i}` })),
      })),
    marks: async () => {
      const { note, blades } = await stored()
      return [note, ...blades.map(({ serial }) => serial.split(' ')[0] ?? '')]
    },
  },
  {
    what: 'readings of one go',
    writes: 1,
    act: count =>
      addReadings(
        ['a', 'b', 'c'].map((end, i) => ({
          ...readingOf('x', 60 + i / 10, 'as-quenched', { batchId: BATCH.id }),
          id: `${name(count)} ${end}`,
        })),
      ),
    marks: async () => {
      const ids = (await db.readings.toArray()).map(({ id }) => id)
      const newest = Math.max(-1, ...ids.map(id => Number(id.slice(1, -2))))
      return ids.filter(id => id.startsWith(`${name(newest)} `)).length === 3 || newest < 0
        ? [name(newest)]
        : ['half', 'done']
    },
  },
  {
    what: 'the workshop, and what follows it in every batch',
    writes: 6,
    act: count =>
      saveShop(shop => ({
        ...shop,
        name: name(count),
        cold: { ...shop.cold, medium: count % 2 === 0 ? 'liquid-nitrogen' : 'dry-ice' },
      })),
    marks: async () => {
      const { name: told, cold } = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
      const open = await db.batches.get('open')
      const toC = open?.groups[0]?.route.cold?.toC
      return [told, (toC === -196) === (cold.medium === 'liquid-nitrogen') ? told : `not ${told}`]
    },
  },
  {
    what: 'a file in the place of everything',
    writes: 20,
    act: async count => {
      const data = await readAll()
      return replaceAll({
        ...data,
        shop: { ...data.shop, name: name(count) },
        recipes: ['one', 'two', 'three'].map(id => recipeOf(id, name(count))),
      })
    },
    marks: async () => {
      const recipes = await db.recipes.toArray()
      const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
      return [shop.name, ...recipes.map(recipe => recipe.name), ...(recipes.length === 3 ? [] : ['none'])]
    },
  },
]

const recipeOf = (id: string, called: string): Recipe => ({
  id,
  name: called,
  gradeId: gradeOf('X65Cr13').id,
  gradeName: 'X65Cr13',
  target: { min: 58, max: 60 },
  retired: false,
  versions: [{ number: 1, at: NOW, why: '', route: BATCH.groups[0]?.route as Recipe['versions'][number]['route'] }],
})

async function begin() {
  await replaceAll(emptyData({ ...DEFAULT_WORKSHOP, origin: 'endured' }))
  await addBatch({ ...BATCH, blades: [] })
  await editBatch(await stored(), 'Count', batch => setCount(batch, 'line-A', 5, () => crypto.randomUUID(), NOW))
  await addBatch(trayOf(gradeOf('X105CrMo17'), [{ mark: 'B' }], { id: 'open' }))
}

/** Counts up with every act: what is stored is never older than what the page was told is stored. */
async function endure(act: Act, kills: number, random: Random) {
  let [known, acknowledged] = [-1, 0]
  for (let count = 0; count < kills; count++) {
    // In the midst of its writes, or with a half more once they are done; sometimes not at all.
    const writes = Math.floor(random.uniform() * act.writes * 1.5) + (random.uniform() < 0.5 ? 0.5 : 1)
    const { told } = await killedAt(writes, async () => (await act.act(count)).saved)
    const marks = [...new Set(await act.marks())]
    expect(marks.length, `${act.what}, ${count}: half of it is stored: ${marks}`).toBe(1)
    const at = Number((marks[0] ?? '').replace(/^N/, ''))
    if (told) expect(at, `${act.what}, ${count}: what was stored is lost`).toBe(count)
    else expect([known, count], `${act.what}, ${count}: neither before nor after`).toContain(at)
    known = at
    if (told) acknowledged++
  }
  // Both were tried: what went through, and what was killed.
  expect(acknowledged).toBeGreaterThan(kills / 20)
  expect(acknowledged).toBeLessThan(kills * 0.95)
}

describe('a browser that is killed in the midst of a write', () => {
  beforeAll(() => {
    db.use({ stack: 'dbcore', name: 'killable', level: 10, create: killable })
  })
  afterAll(() => {
    db.unuse({ stack: 'dbcore', name: 'killable' })
  })

  it.each(ACTS)(
    '$what: nothing stored is lost, nothing is half done',
    async act => {
      await begin()
      await killedAt(Number.POSITIVE_INFINITY, async () => (await act.act(-1)).saved)
      await endure(act, tries(60, 2500), createRandom(7))
      for (const batch of withBlades(await db.batches.toArray(), await db.blades.toArray()))
        expect(batchSchema.safeParse(batch).success).toBe(true)
    },
    LONGEST_MS,
  )

  it(
    'a file that is added: all of it or nothing, and once more all of it',
    async () => {
      const random = createRandom(11)
      for (let i = 0; i < tries(14, 140); i++) {
        await begin()
        const before = await readAll()
        const { record, blades } = partBatch(trayOf(gradeOf('X65Cr13'), [{ mark: 'Z' }], { id: 'added' }))
        const recipes = ['p', 'q'].map(id => recipeOf(id, 'added'))
        const file = { ...emptyData(before.shop), batches: [record], blades, recipes }
        const { told } = await killedAt(
          Math.floor(random.uniform() * 16) + 0.5,
          async () => (await addAll(file)) !== null,
        )
        const after = await readAll()
        const has = [after.batches.some(({ id }) => id === 'added'), after.recipes.length === 2]
        expect(new Set(has).size).toBe(1)
        if (told) expect(has[0]).toBe(true)
        if (!has[0]) expect({ ...after, recipes: [] }).toEqual({ ...before, recipes: [] })
        await addAll(file)
        expect((await readAll()).recipes).toHaveLength(2)
      }
    },
    LONGEST_MS,
  )
})
