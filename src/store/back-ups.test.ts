import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Result } from '../core/codes/result'
import { expectOk } from '../testing/tray'
import { type BackUpFolder, backUpInto, backUpName, KEPT, outlived } from './back-ups'

/** A folder in memory; `keep` says what it makes of what is written. */
function folder(keep: (file: Blob) => Blob = file => file) {
  const files = new Map<string, Blob>()
  const of: BackUpFolder = {
    files: async () => [...files].map(([name, { size }]) => ({ name, bytes: size })),
    write: async (name, file) => void files.set(name, keep(file)),
    read: async name => files.get(name) ?? new Blob([]),
    remove: async name => void files.delete(name),
  }
  return { files, of }
}

const problemOf = (result: Result<unknown>) => (result.ok ? null : result.problems[0])

/** Files of one size. */
const sized = (names: readonly string[], bytes = 1000) => names.map(name => ({ name, bytes }))

const day = (i: number) => new Date(Date.UTC(2024, 0, 1 + i, 18))
const whole = new Blob(['{"shop":1}'])
const fine = async () => true

describe('a back-up', () => {
  it('is written, read back and opened as a restore would', async () => {
    const { files, of } = folder()
    let opened = ''
    const made = await backUpInto(of, whole, day(0), async file => {
      opened = await file.text()
      return true
    })
    expect(expectOk(made)).toEqual({ name: 'tawny-ember-2024-01-01-180000.json', at: day(0).toISOString(), bytes: 10 })
    expect([opened, [...files.keys()]]).toEqual(['{"shop":1}', ['tawny-ember-2024-01-01-180000.json']])
  })

  it('that is cut short, changed on its way or cannot be opened is said, and takes none of the older ones with it', async () => {
    const older = Array.from({ length: 30 }, (_, i) => backUpName(day(i)))
    const cut = (file: Blob) => file.slice(0, 4)
    const changed = () => new Blob(['{"shop":2}'])
    for (const [keep, isReadable] of [
      [cut, fine],
      [changed, fine],
      [(file: Blob) => file, async () => false],
    ] as const) {
      const { files, of } = folder(keep)
      for (const name of older) files.set(name, whole)
      expect(problemOf(await backUpInto(of, whole, day(40), isReadable))?.code).toBe('back-up-differs')
      expect([...files.keys()].filter(name => older.includes(name))).toHaveLength(30)
    }
  })

  it('that the folder refuses is said with what it said', async () => {
    const { of } = folder()
    const gone = { ...of, write: () => Promise.reject(new DOMException('gone', 'NotFoundError')) }
    expect(problemOf(await backUpInto(gone, whole, day(0), fine))).toMatchObject({
      code: 'back-up-failed',
      params: { what: 'NotFoundError' },
    })
  })

  it('leaves the newest ones, the last of each month before, and whatever else lies there', () => {
    const daily = Array.from({ length: 120 }, (_, i) => backUpName(day(i)))
    const gone = new Set(outlived(sized([...daily, 'letter.json', 'tawny-ember-2024-01-01.json'])))
    const left = daily.filter(name => !gone.has(name))
    // 1 January to 29 April 2024: the last ten days, and the last of January, February and March.
    expect(left.map(name => name.slice(12, 22))).toEqual([
      '2024-01-31',
      '2024-02-29',
      '2024-03-31',
      ...Array.from({ length: 10 }, (_, i) => `2024-04-${20 + i}`),
    ])
    expect(gone.has('letter.json') || gone.has('tawny-ember-2024-01-01.json')).toBe(false)
  })

  it('of a log that was lost is not pushed out by the small ones that follow', () => {
    const names = Array.from({ length: 60 }, (_, i) => backUpName(day(i)))
    const before = sized(names.slice(0, 20), 5_000_000).map((file, i) => ({ ...file, bytes: file.bytes + 1000 * i }))
    const gone = new Set(outlived([...before, ...sized(names.slice(20), 900)]))
    // The last whole one, of 20 January: neither among the newest ten nor the last of its month.
    expect(before.filter(file => !gone.has(file.name))).toEqual([before[19]])
    // Once a larger one is there it may go.
    const whole = { name: backUpName(day(60)), bytes: 6_000_000 }
    expect(outlived([...before, ...sized(names.slice(20), 900), whole])).toContain(before[19]?.name)
  })

  it('never lets the newest go, and what is left is left again', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 3000 }), { maxLength: 80 }), days => {
        const names = days.map(i => backUpName(day(i)))
        const gone = new Set(outlived(sized(names)))
        const left = names.filter(name => !gone.has(name))
        expect(outlived(sized(left))).toEqual([])
        expect(left.length).toBeLessThanOrEqual(KEPT.newest + KEPT.months)
        for (const name of names.sort().slice(-KEPT.newest)) expect(gone.has(name)).toBe(false)
      }),
    )
  })
})
