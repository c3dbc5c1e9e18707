import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tries } from '../../testing/endure'
import { canonicalText } from '../batch/canonical'
import { joinRows, withUsedOvens } from '../joining/join-logs'
import { sharedForm, stampsAfter } from '../joining/parts'
import { type Seen, seenByBoth, tickUs } from '../joining/stamp'
import type { StampedTable } from '../joining/tables'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { batchesOfRow, isDeletedBatch, isSameRow, logOf, rowKey, type SharedRow, withLivingBatches } from './rows'
import { createSharedLog, type NumberedRow, type SharedLog } from './shared-log'

type Row = NonNullable<SharedRow['row']> & Record<string, unknown>

const [OVEN, TEMPERING] = DEFAULT_WORKSHOP.ovens as [never, never]
const OVENS = [
  OVEN,
  TEMPERING,
  { ...(OVEN as object), id: 'second', name: 'second' },
] as unknown as typeof DEFAULT_WORKSHOP.ovens
const SHOP = { ...DEFAULT_WORKSHOP, origin: 'here', ovens: OVENS }
const batch = (id: string, parts: object = {}): Row => ({
  id,
  name: id,
  createdAt: `2026-01-0${id.length}T08:00:00.000Z`,
  updatedAt: '2026-01-09T08:00:00.000Z',
  rev: 1,
  groups: [],
  lines: [],
  ovenId: 'second',
  deletedAt: null,
  ...parts,
})

/** One screen, as its storage keeps it: what it changed waits until it is sent. */
class Screen {
  rows = new Map<string, SharedRow>()
  unsent = new Set<string>()
  seen: Seen = {}
  cursor = 0
  lastUs = 0
  constructor(readonly id: string) {}

  shop = () => (this.rows.get('shop/shop')?.row ?? SHOP) as typeof SHOP
  row = (table: SharedRow['table'], id: string) => this.rows.get(rowKey({ table, id }))?.row as Row | null | undefined

  /** Writes a record, or removes it. */
  write(table: StampedTable, id: string, row: Row | null, atMs = 1): this {
    const key = rowKey({ table, id })
    const before = this.rows.get(key)
    this.lastUs = tickUs(atMs, Math.max(this.lastUs, ...Object.values(this.seen)))
    const old = before && Object.keys(before.f).length > 0 ? { id: key, f: before.f } : undefined
    const stamped = stampsAfter(table, id, [before?.row ?? undefined, row ?? undefined], old, [this.lastUs, this.id])
    this.rows.set(key, { table, id, row, f: stamped?.f ?? before?.f ?? {} })
    this.seen = { ...this.seen, [this.id]: this.lastUs }
    this.unsent.add(key)
    return this
  }

  /** With what is sent goes what it cannot be judged without, as the storage sends it. */
  context(keys: Iterable<string>, others: readonly SharedRow[] = []): SharedRow[] {
    const some = [...keys].flatMap(key => this.rows.get(key) ?? [])
    const parents = [...some, ...others]
      .flatMap(({ row }) => batchesOfRow(row))
      .flatMap(id => this.rows.get(`batches/${id}`) ?? [])
      .filter(isDeletedBatch)
    const deleted = new Set([...some, ...parents, ...others].filter(isDeletedBatch).map(({ id }) => id))
    const ofThem = [...this.rows.values()].filter(({ row }) => batchesOfRow(row).some(id => deleted.has(id)))
    const shop = some.some(({ table }) => table === 'batches') ? [this.rows.get('shop/shop')] : []
    return [...new Set([...some, ...parents, ...ofThem, ...shop.flatMap(row => row ?? [])])]
  }

  /** Sends what waits; what others sent meanwhile comes before the answer. */
  send(log: SharedLog, atMs: number): void {
    const rows = this.context(this.unsent)
    log.keep(log.take({ rows, seen: this.seen, isAll: true }, atMs))
    this.unsent.clear()
    this.fetch(log)
  }

  fetch(log: SharedLog): void {
    this.receive(log.withContext(log.since(this.cursor)), log)
  }

  receive(rows: readonly NumberedRow[], log: SharedLog): void {
    const keys = new Set(rows.map(rowKey))
    const here = logOf(this.context(keys, rows), this.seen, this.shop())
    const came = withLivingBatches(rows, this.context(keys, rows))
    const joined = joinRows(here, logOf(came, log.seen(), here.shop))
    const f = new Map(joined.rows.stamps.map(row => [row.id, row.f]))
    const put = (table: SharedRow['table'], id: string, row: SharedRow['row']) => {
      const key = rowKey({ table, id })
      this.rows.set(key, { table, id, row, f: f.get(key) ?? this.rows.get(key)?.f ?? {} })
    }
    for (const key of f.keys()) {
      const [table, id] = key.split('/') as [SharedRow['table'], string]
      put(table, id, this.rows.get(key)?.row ?? null)
    }
    put('shop', 'shop', joined.shop as unknown as Row)
    for (const table of ['batches', 'blades', 'readings'] as const)
      for (const row of joined.rows[table]) put(table, row.id, row as Row)
    for (const { table, id } of joined.removed) put(table, id, null)
    // What came out otherwise here is news to the others.
    for (const row of rows) {
      const is = this.rows.get(rowKey(row))
      if (is && !isSameRow(is, row)) this.unsent.add(rowKey(row))
    }
    this.seen = seenByBoth(this.seen, log.seen())
    this.cursor = log.seq()
    const own = logOf(this.context(this.unsent), this.seen, here.shop)
    const shop = withUsedOvens(this.shop(), own, logOf(came, log.seen(), here.shop))
    if (shop !== this.shop()) this.write('shop', 'shop', shop as unknown as Row)
  }
}

/** Keys of the records that two screens show otherwise. */
const apart = (a: Screen, b: Screen): string[] =>
  [...new Set([...a.rows.keys(), ...b.rows.keys()])].filter(key => shown(a, key) !== shown(b, key))

function shown(screen: Screen, key: string): string {
  const found = screen.rows.get(key)
  return found?.row ? canonicalText(sharedForm(found.table as StampedTable, found.row)) : ''
}

/** A shared log with one batch of two blades in it, and screens that are in step with it. */
function workshop(screens: number) {
  const log = createSharedLog()
  const first = new Screen('s0')
  first.write('shop', 'shop', SHOP as unknown as Row)
  first.write('batches', 'b', batch('b'))
  for (const n of [1, 2]) first.write('blades', `k${n}`, { id: `k${n}`, batchId: 'b', serial: `26-00${n}`, note: '' })
  first.send(log, 1)
  const all = [first, ...Array.from({ length: screens - 1 }, (_, i) => new Screen(`s${i + 1}`))]
  for (const one of all) one.fetch(log)
  return { log, all }
}

const settle = (all: readonly Screen[], log: SharedLog) => {
  for (let round = 0; round < 3; round++)
    for (const one of all) {
      one.fetch(log)
      one.send(log, 1000 + round)
    }
  for (const one of all) one.fetch(log)
}

type Step = readonly [who: number, what: number, value: number]

function act(screen: Screen, what: number, value: number, atMs: number): void {
  const b = screen.row('batches', 'b')
  const k = screen.row('blades', `k${1 + (value % 2)}`)
  switch (what) {
    case 0:
      if (b) screen.write('batches', 'b', { ...b, name: `name ${value}` }, atMs)
      break
    case 1:
      if (k) screen.write('blades', k.id, { ...k, note: `note ${screen.id} ${value}` }, atMs)
      break
    case 2: {
      const id = `r-${screen.id}-${value}`
      if (b && !screen.row('readings', id)) screen.write('readings', id, { id, batchId: 'b', value }, atMs)
      break
    }
    case 3:
      if (b) screen.write('batches', 'b', { ...b, deletedAt: '2026-01-09T08:00:00.000Z' }, atMs)
      break
    case 4:
      screen.write('shop', 'shop', { ...screen.shop(), name: `shop ${value}` } as unknown as Row, atMs)
      break
    case 5: {
      const { ovens } = screen.shop()
      screen.write(
        'shop',
        'shop',
        { ...screen.shop(), ovens: ovens.filter(oven => oven.id !== 'second') } as unknown as Row,
        atMs,
      )
      break
    }
    case 6: {
      const id = `b-${screen.id}`
      if (!screen.row('batches', id)) screen.write('batches', id, batch(id), atMs)
      break
    }
    case 7: {
      const id = `k-${screen.id}-${value}`
      const batchId = `b-${screen.id}`
      if (screen.row('batches', batchId) && !screen.row('blades', id))
        screen.write('blades', id, { id, batchId, serial: `26-00${3 + (value % 3)}`, note: '' }, atMs)
      break
    }
    case 8:
      if (k) screen.write('blades', k.id, null, atMs)
      break
  }
}

const steps = fc.array(fc.tuple(fc.nat(3), fc.nat(10), fc.nat(9)), { maxLength: 40 })

describe('a log that several screens share', () => {
  it('is the same on every screen once each has sent and fetched, whatever each did out of reach', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 4 }), steps, (count, history: readonly Step[]) => {
        const { log, all } = workshop(count)
        let atMs = 1
        const readings = new Set<string>()
        for (const [who, what, value] of history) {
          const screen = all[who % count] as Screen
          atMs += 7
          if (what === 9) screen.send(log, atMs)
          else if (what === 10) screen.fetch(log)
          else act(screen, what, value, atMs)
          for (const [key, { row }] of screen.rows) if (key.startsWith('readings/') && row) readings.add(key)
        }
        settle(all, log)
        for (const one of all) expect(apart(one, all[0] as Screen), one.id).toEqual([])
        for (const key of readings) expect(all[0]?.rows.get(key)?.row, `${key} was lost`).toBeTruthy()
        const serials = [...(all[0]?.rows.values() ?? [])].flatMap(({ table, row }) =>
          table === 'blades' && row ? String((row as Row).serial) : [],
        )
        expect(new Set(serials).size, 'a serial twice').toBe(serials.length)
      }),
      { numRuns: tries(200, 10_000) },
    )
  })

  it('tells a screen that was away what changed since, and no more', () => {
    const { log, all } = workshop(3)
    const [desk, tablet] = all as [Screen, Screen]
    desk.write('blades', 'k1', { ...(desk.row('blades', 'k1') as Row), note: 'bent' }, 5)
    desk.send(log, 6)
    expect(log.since(tablet.cursor).map(rowKey)).toEqual(['blades/k1'])
    tablet.fetch(log)
    expect(tablet.row('blades', 'k1')?.note).toBe('bent')
    expect(log.since(tablet.cursor)).toEqual([])
  })

  it('changes nothing before it is kept: what the disk refused was never taken', () => {
    const { log, all } = workshop(2)
    const desk = all[0] as Screen
    desk.write('batches', 'b', { ...(desk.row('batches', 'b') as Row), name: 'lost on the disk' }, 9)
    const before = [...log.rows()]
    log.take({ rows: desk.context(desk.unsent), seen: desk.seen, isAll: true }, 9)
    expect([...log.rows()]).toEqual(before)
  })

  it('gives one of two blades with one serial a new one, and both screens show it', () => {
    const { log, all } = workshop(2)
    const [desk, tablet] = all as [Screen, Screen]
    for (const one of [desk, tablet]) {
      const id = `b-${one.id}`
      one.write('batches', id, batch(id, { createdAt: `2026-02-0${one === desk ? 1 : 2}T08:00:00.000Z` }), 3)
      one.write('blades', `k-${one.id}`, { id: `k-${one.id}`, batchId: id, serial: '26-003', note: '' }, 3)
    }
    settle(all, log)
    for (const one of all) {
      expect(one.row('blades', 'k-s0')?.serial).toBe('26-003')
      expect(one.row('blades', 'k-s1')?.serial).not.toBe('26-003')
    }
  })

  it('keeps an oven that one screen removed while another planned a batch for it', () => {
    const { log, all } = workshop(2)
    const [desk, tablet] = all as [Screen, Screen]
    tablet.write('batches', 'b-new', batch('b-new'), 3)
    tablet.send(log, 6)
    desk.write('shop', 'shop', { ...desk.shop(), ovens: OVENS.slice(0, 2) } as unknown as Row, 4)
    settle([desk, tablet], log)
    for (const one of all)
      expect(
        one.shop().ovens.map(oven => oven.id),
        one.id,
      ).toContain('second')
  })

  it('keeps a batch that one screen deleted and another measured meanwhile; one nobody touched stays deleted', () => {
    const { log, all } = workshop(2)
    const [desk, tablet] = all as [Screen, Screen]
    desk.write('batches', 'b', { ...(desk.row('batches', 'b') as Row), deletedAt: '2026-01-09T08:00:00.000Z' }, 5)
    desk.send(log, 6)
    tablet.fetch(log)
    expect(tablet.row('batches', 'b')?.deletedAt).not.toBeNull()
    const again = workshop(2)
    const [a, b] = again.all as [Screen, Screen]
    a.write('batches', 'b', { ...(a.row('batches', 'b') as Row), deletedAt: '2026-01-09T08:00:00.000Z' }, 5)
    b.write('readings', 'r', { id: 'r', batchId: 'b', value: 60 }, 4)
    settle(again.all, again.log)
    for (const one of again.all) expect(one.row('batches', 'b')?.deletedAt, one.id).toBeNull()
  })
})
