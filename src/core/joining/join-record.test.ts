import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tries } from '../../testing/endure'
import { canonicalText } from '../batch/canonical'
import { joinRecord, type Side } from './join-record'
import { stampsAfter } from './parts'
import { type Seen, type StampRow, seenByBoth, tickUs } from './stamp'

interface Entry {
  readonly id: string
  readonly mark: string
  readonly count: number
}
interface Row {
  readonly name: string
  readonly target: { readonly min: number; readonly max: number }
  readonly note?: string
  readonly lines: readonly Entry[]
  readonly finished?: readonly string[]
  readonly states?: readonly { readonly at: string; readonly is: string }[]
}

/** One screen with its log of one record, as the storage keeps it. */
class Screen {
  row: Row | undefined
  stamps: StampRow | undefined
  seen: Seen = {}
  lastUs = 0
  constructor(
    readonly id: string,
    start: Row,
  ) {
    this.row = start
  }

  edit(change: (row: Row) => Row | undefined, atMs = 1): this {
    const after = this.row && change(this.row)
    this.lastUs = tickUs(atMs, Math.max(this.lastUs, ...Object.values(this.seen)))
    const stamped = stampsAfter('blades', 'r', [this.row, after], this.stamps, [this.lastUs, this.id])
    if (stamped) this.stamps = stamped
    this.seen = { ...this.seen, [this.id]: this.lastUs }
    this.row = after
    return this
  }

  side(): Side {
    return { value: this.row, f: this.stamps?.f ?? {}, seen: this.seen, writtenAt: '' }
  }

  /** Reads a file of another screen, as it stood when it was saved. */
  add(file: Side) {
    const joined = joinRecord(this.side(), file)
    this.row = joined.value as Row | undefined
    this.stamps = { id: 'blades/r', f: joined.f }
    this.seen = seenByBoth(this.seen, file.seen)
    return joined
  }
}

const START: Row = {
  name: 'Gulls',
  target: { min: 59, max: 61 },
  lines: [
    { id: 'l1', mark: 'A', count: 3 },
    { id: 'l2', mark: 'B', count: 2 },
  ],
}

const two = () => [new Screen('desk', START), new Screen('oven', START)] as const
const both = (desk: Screen, oven: Screen) => {
  const [fromDesk, fromOven] = [desk.side(), oven.side()]
  return [desk.add(fromOven), oven.add(fromDesk)] as const
}

describe('two logs of one record', () => {
  it('keep what either changed, part by part, and end equal', () => {
    const [desk, oven] = two()
    desk.edit(row => ({
      ...row,
      name: 'Gulls, spring',
      lines: row.lines.map(l => (l.id === 'l1' ? { ...l, count: 4 } : l)),
    }))
    oven.edit(row => ({ ...row, note: 'thin', lines: row.lines.map(l => (l.id === 'l1' ? { ...l, mark: 'G' } : l)) }))
    const [told] = both(desk, oven)
    expect(desk.row).toEqual({
      ...START,
      name: 'Gulls, spring',
      note: 'thin',
      lines: [{ id: 'l1', mark: 'G', count: 4 }, START.lines[1]],
    })
    expect(oven.row).toEqual(desk.row)
    expect(told.differences).toEqual([])
  })

  it('name what both changed, take the later, and keep a target in one piece', () => {
    const [desk, oven] = two()
    desk.edit(row => ({ ...row, target: { min: 58, max: 61 } }), 1)
    oven.edit(row => ({ ...row, target: { min: 59, max: 62 } }), 2)
    const [told, heard] = both(desk, oven)
    expect(desk.row?.target).toEqual({ min: 59, max: 62 })
    expect(told.differences).toMatchObject([
      { path: 'target', here: { min: 58, max: 61 }, there: { min: 59, max: 62 }, taken: 'there' },
    ])
    expect(heard.differences).toMatchObject([{ taken: 'here' }])
    expect(both(desk, oven).flatMap(one => one.differences)).toEqual([])
  })

  it('name nothing where one only went on from what the other had', () => {
    const [desk, oven] = two()
    desk.edit(row => ({ ...row, name: 'one' }))
    both(desk, oven)
    oven.edit(row => ({ ...row, name: 'two' }))
    const [told] = both(desk, oven)
    expect([desk.row?.name, told.differences]).toEqual(['two', []])
  })

  it('keep a removed entry removed, unless the other changed it without knowing', () => {
    const [desk, oven] = two()
    desk.edit(row => ({ ...row, lines: row.lines.filter(l => l.id !== 'l2') }))
    expect(both(desk, oven).map(one => one.returned)).toEqual([[], []])
    expect(oven.row?.lines.map(l => l.id)).toEqual(['l1'])
    desk.edit(row => ({ ...row, lines: [] }))
    oven.edit(row => ({ ...row, lines: row.lines.map(l => ({ ...l, count: 9 })) }))
    const [told] = both(desk, oven)
    expect(desk.row?.lines).toEqual([{ id: 'l1', mark: 'A', count: 9 }])
    expect(oven.row).toEqual(desk.row)
    expect(told.returned).toEqual(['lines/l1'])
  })

  it('do not bring back a record that one deleted, unless it was changed', () => {
    const [desk, oven] = two()
    desk.edit(() => undefined)
    both(desk, oven)
    expect([desk.row, oven.row]).toEqual([undefined, undefined])
    const [bench, tester] = two()
    bench.edit(() => undefined, 5)
    tester.edit(row => ({ ...row, note: 'kept' }), 2)
    both(bench, tester)
    expect(bench.row).toMatchObject({ note: 'kept' })
    expect(tester.row).toEqual(bench.row)
  })

  it('list what another program changed in a file and did not stamp', () => {
    const [desk] = two()
    desk.edit(row => ({ ...row, name: 'stamped' }))
    const { value, ...rest } = desk.side()
    const told = desk.add({ ...rest, value: { ...(value as Row), name: 'by another program' } })
    expect(told.differences.map(({ path, here, there }) => [path, here, there])).toEqual([
      ['name', 'stamped', 'by another program'],
    ])
  })

  it('take an old file in without losing what came after it', () => {
    const [desk, oven] = two()
    const old = oven.side()
    desk.edit(row => ({ ...row, name: 'new' }))
    desk.add(old)
    expect(desk.row?.name).toBe('new')
  })
})

const edits = fc.oneof(
  fc.record({ kind: fc.constant('name' as const), to: fc.constantFrom('a', 'b', 'c') }),
  fc.record({ kind: fc.constant('target' as const), to: fc.integer({ min: 50, max: 60 }) }),
  fc.record({ kind: fc.constant('note' as const), to: fc.option(fc.constantFrom('x', 'y'), { nil: undefined }) }),
  fc.record({ kind: fc.constant('add' as const), to: fc.constant(0) }),
  fc.record({ kind: fc.constant('remove' as const), to: fc.nat(3) }),
  fc.record({ kind: fc.constant('count' as const), to: fc.nat(9) }),
  fc.record({ kind: fc.constant('tick' as const), to: fc.constantFrom('scale', 'edge') }),
  fc.record({ kind: fc.constant('state' as const), to: fc.nat(99) }),
  fc.record({ kind: fc.constant('delete' as const), to: fc.constant(0) }),
)
type Edit = typeof edits extends fc.Arbitrary<infer T> ? T : never

let made = 0
function changed(row: Row, { kind, to }: Edit): Row | undefined {
  const at = (list: readonly Entry[]) => list[Number(to) % Math.max(1, list.length)]?.id
  switch (kind) {
    case 'name':
      return { ...row, name: to }
    case 'target':
      return { ...row, target: { min: to, max: to + 2 } }
    case 'note': {
      const { note: _, ...rest } = row
      return to === undefined ? rest : { ...rest, note: to }
    }
    case 'add':
      return { ...row, lines: [...row.lines, { id: `n${made++}`, mark: 'N', count: 1 }] }
    case 'remove':
      return { ...row, lines: row.lines.filter(l => l.id !== at(row.lines)) }
    case 'count':
      return { ...row, lines: row.lines.map(l => (l.id === at(row.lines) ? { ...l, count: to + l.count } : l)) }
    case 'tick': {
      const has = row.finished ?? []
      return { ...row, finished: has.includes(to) ? has.filter(one => one !== to) : [...has, to] }
    }
    case 'state':
      return { ...row, states: [...(row.states ?? []), { at: `2026-05-02T10:00:${made++}`, is: `s${to}` }] }
    case 'delete':
      return undefined
  }
}

/** Histories tried: a few with every test, many in the long form. */
const RUNS = tries(200, 10_000)

describe('histories of two to four screens (law)', () => {
  const moves = fc.array(
    fc.oneof(
      { weight: 3, arbitrary: fc.tuple(fc.constant('edit' as const), fc.nat(3), edits, fc.nat(1_000_000)) },
      { weight: 2, arbitrary: fc.tuple(fc.constant('save' as const), fc.nat(3), edits, fc.nat(3)) },
      { weight: 2, arbitrary: fc.tuple(fc.constant('add' as const), fc.nat(3), edits, fc.nat(3)) },
    ),
    { maxLength: 40 },
  )

  it('end equal whatever was edited, saved and added in whatever order, with clocks that stand wrong', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 4 }), moves, (count, history) => {
        const screens = Array.from({ length: count }, (_, i) => new Screen(`s${i}`, START))
        const files: Side[] = []
        for (const [kind, at, edit, n] of history) {
          const screen = screens[at % count] as Screen
          if (kind === 'edit') screen.edit(row => changed(row, edit), n)
          else if (kind === 'save') files.push(screen.side())
          else if (files.length > 0) screen.add(files[n % files.length] as Side)
        }
        // Each hears of each, in two different orders; and once more, where one that was deleted with all it held has come back.
        for (const _ of [1, 2]) {
          const last = screens.map(screen => screen.side())
          screens.forEach((screen, i) => {
            for (const file of i % 2 ? [...last].reverse() : last) screen.add(file)
          })
        }
        const texts = screens.map(screen => (screen.row ? canonicalText(screen.row) : 'none'))
        expect(new Set(texts).size).toBe(1)
        const before = canonicalText([screens[0]?.row, screens[0]?.stamps])
        screens[0]?.add(screens[1]?.side() as Side)
        expect(canonicalText([screens[0]?.row, screens[0]?.stamps])).toBe(before)
      }),
      { numRuns: RUNS },
    )
  })

  it('lose nothing that was added and never removed', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(2), fc.boolean()), { maxLength: 20 }), history => {
        const screens = Array.from({ length: 3 }, (_, i) => new Screen(`s${i}`, START))
        const added: string[] = []
        for (const [at, joins] of history) {
          const screen = screens[at] as Screen
          if (joins) screen.add((screens[(at + 1) % 3] as Screen).side())
          else {
            const id = `a${made++}`
            added.push(id)
            screen.edit(row => ({ ...row, lines: [...row.lines, { id, mark: 'N', count: 1 }] }))
          }
        }
        const [one, ...others] = screens as [Screen, Screen, Screen]
        for (const other of others) one.add(other.side())
        expect(one.row?.lines.map(l => l.id).sort()).toEqual(['l1', 'l2', ...added].sort())
      }),
      { numRuns: RUNS },
    )
  })
})
