import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { SETUP_STEPS } from '../../data/setup'
import { expectWhole, OLDER_VERSIONS, olderText, olderWorkshop } from '../../testing/older-workshop'
import { expectOk } from '../../testing/tray'
import { runStateAt } from '../run/run-state'
import { ROUTE_PARTS } from '../shop/route-parts'
import type { Run } from '../shop/run'
import { EXCHANGE_VERSION } from './exchange'
import { looseEndsOf } from './loose-ends'
import { parseExchange } from './read-exchange'
import { exportText } from './write-exchange'

/** That no run lost a press, a step or its batch. */
function expectRunsWhole(
  old: readonly {
    id: string
    batchId: string
    steps: unknown
    clock: unknown
    events: { atS: number; kind: string }[]
  }[],
  now: readonly Run[],
) {
  expect(now.map(({ id, batchIds, steps, clock }) => ({ id, batchIds, steps, clock }))).toEqual(
    old.map(({ id, batchId, steps, clock }) => ({ id, batchIds: [batchId], steps, clock })),
  )
  expect(now.map(run => run.events.map(({ atS, kind }) => [atS, kind]))).toEqual(
    old.map(run => run.events.map(({ atS, kind }) => [atS, kind])),
  )
}

const read = (version: (typeof OLDER_VERSIONS)[number]) => expectOk(parseExchange(olderText(version)))

describe.each(OLDER_VERSIONS)('a file of version %i', version => {
  it('is the age it says it is, and opens whole', () => {
    const old = olderWorkshop(version)
    expect(old.version).toBe(version)
    expectWhole(old, read(version))
  })

  it('is this version from then on: saved and read again it is the same', () => {
    const now = read(version)
    const { format: _, version: is, exportedAt, ...data } = now
    expect(is).toBe(EXCHANGE_VERSION)
    expect(expectOk(parseExchange(exportText(data, exportedAt)))).toEqual(now)
  })

  it('names what points nowhere, and at two blades at once', () => {
    const ends = looseEndsOf(read(version))
    const of = (kind: string) => ends.filter(end => end.kind === kind)
    expect(of('marks')).toEqual([{ kind: 'marks', batch: 'Thin slicers, first try', marks: ['A1', 'A2'] }])
    expect(of('no-batch')).toContainEqual({ kind: 'no-batch', what: 'readings', count: 1 })
    expect(of('readings').flatMap(end => ('marks' in end ? end.marks : []))).toContain('Q7')
    // The first version had one oven, without a name: there was none to be gone.
    expect(of('oven')).toEqual(
      version === 1 ? [] : [{ kind: 'oven', batch: 'Boat knives, spring refit', oven: 'A kiln long sold' }],
    )
  })
})

describe('a file of version 5', () => {
  const text = readFileSync(new URL('./fixtures/workshop-v5.json', import.meta.url), 'utf8')
  const old = JSON.parse(text)

  it('opens whole: nothing in it changes but that every part of a route is the maker’s, and that runs know their blades', () => {
    expect(old.version).toBe(5)
    const { version, batches, shop, runs, ...now } = expectOk(parseExchange(text))
    const { version: _, batches: was, shop: oldShop, runs: oldRuns, ...rest } = old
    expectRunsWhole(oldRuns, runs)
    expect(version).toBe(EXCHANGE_VERSION)
    expect(now).toEqual({ ...rest, pictures: [], seen: {}, stamps: [] })
    expect(shop).toEqual({ ...oldShop, isDemo: false, said: [...SETUP_STEPS] })
    expect(batches.map(({ groups, ...b }) => ({ ...b, groups: groups.map(({ fixed: _, ...g }) => g) }))).toEqual(was)
    for (const group of batches.flatMap(b => b.groups)) expect(group.fixed).toEqual([...ROUTE_PARTS])
  })
})

describe('a file of version 6', () => {
  const text = readFileSync(new URL('./fixtures/workshop-v6.json', import.meta.url), 'utf8')
  const old = JSON.parse(text)

  it('opens whole: the shop counts as said, and one of a demo as made up', () => {
    expect(old.version).toBe(6)
    const { version: _now, shop, runs, ...now } = expectOk(parseExchange(text))
    const { version: _was, shop: oldShop, runs: oldRuns, ...rest } = old
    expect(now).toEqual({ ...rest, pictures: [], seen: {}, stamps: [] })
    expectRunsWhole(oldRuns, runs)
    expect(shop).toEqual({ ...oldShop, isDemo: true, said: [...SETUP_STEPS] })
    const own = expectOk(parseExchange(JSON.stringify({ ...old, shop: { ...oldShop, origin: 'a-shop' } })))
    expect(own.shop.isDemo).toBe(false)
  })
})

describe('a file of version 7', () => {
  const text = readFileSync(new URL('./fixtures/workshop-v7.json', import.meta.url), 'utf8')
  const old = JSON.parse(text)

  it('opens whole: runs keep every press, and know of which batch they are', () => {
    expect(old.version).toBe(7)
    const { version: _now, runs, ...now } = expectOk(parseExchange(text))
    const { version: _was, runs: oldRuns, ...rest } = old
    expect(now).toEqual({ ...rest, pictures: [], seen: {}, stamps: [] })
    expectRunsWhole(oldRuns, runs)
    // A made-up workshop’s finished runs stand for runs in the shop; one that was left open stays practice.
    expect(runs.map(run => run.mode)).toEqual(['shop', 'practice'])
    const own = JSON.stringify({ ...old, shop: { ...old.shop, isDemo: false } })
    expect(expectOk(parseExchange(own)).runs.map(run => run.mode)).toEqual(['practice', 'practice'])
  })

  it('has remarks and minutes as they were, and a press taken back stays taken back', () => {
    const open = expectOk(parseExchange(text)).runs.find(run => run.endedAt === null)
    expect(open?.events.map(event => event.kind)).toEqual(['confirm', 'take-back', 'confirm', 'add-minutes', 'remark'])
    expect(open?.events.at(-1)).toMatchObject({ text: 'The seam of A2 looks thin', atS: 50 })
    expect(open?.events.at(-2)).toMatchObject({ minutes: 2 })
    expect(open && runStateAt(open, 100).stepIndex).toBe(1)
  })
})

describe('a file of version 8', () => {
  const text = readFileSync(new URL('./fixtures/workshop-v8.json', import.meta.url), 'utf8')

  it('opens whole: edge tests, trials and blades hardened again as they were; there were no pictures', () => {
    const old = JSON.parse(text)
    expect(old.version).toBe(8)
    const { version: _now, pictures, ...now } = expectOk(parseExchange(text))
    const { version: _was, ...rest } = old
    expect(now).toEqual({ ...rest, seen: {}, stamps: [] })
    expect(pictures).toEqual([])
    expect(now.blades.some(blade => blade.edgeTests?.length)).toBe(true)
    expect(now.blades.some(blade => blade.before)).toBe(true)
    expect(now.batches.some(batch => batch.groups.some(group => group.trialOf))).toBe(true)
  })
})

describe('what an older file does not tell', () => {
  it('is not guessed: a batch whose oven is gone has none, and keeps its name', () => {
    for (const version of [2, 3, 4] as const) {
      const boat = read(version).batches.find(b => b.name.startsWith('Boat'))
      expect(boat).toMatchObject({ ovenId: null, ovenName: 'A kiln long sold' })
    }
  })

  it('a check of the tester whose day was not noted still corrects what was read', () => {
    const { tester } = read(1).shop
    expect(tester.checks).toEqual([{ id: 'check-1', blockId: 'block-1', at: null, readings: [60.5, 60.6, 60.4] }])
    expect(tester.blocks[0]).toMatchObject({ certifiedHrc: 60.3, certifiedSd: 0.2 })
  })

  it('a packet of several is noted with each blade in it', () => {
    const file = read(4)
    const shared = olderWorkshop(4).batches.find((b: { packets?: { mark: string }[] }) =>
      b.packets?.some(p => p.mark.includes(' to ')),
    )
    const lines = file.batches.find(b => b.id === shared.id)?.lines ?? []
    const first = file.blades.filter(b => b.lineId === lines[0]?.id).sort((a, b) => a.number - b.number)
    const note = shared.packets.find((p: { mark: string }) => p.mark === 'A1 to A3')
    expect(first.slice(0, 3).map(b => b.packet)).toEqual(Array(3).fill({ sealed: note.sealed, leak: note.leak }))
  })
})
