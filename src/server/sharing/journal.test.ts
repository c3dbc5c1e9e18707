import { appendFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { NumberedRow } from '../../core/sharing/shared-log'
import { DEFAULT_WORKSHOP } from '../../core/shop/defaults'
import { JournalError, openJournal } from './journal'

let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tawny-ember-journal-'))
})
afterEach(() => rmSync(folder, { recursive: true }))

const file = () => join(folder, 'workshop.jsonl')
const shop = (name: string, seq: number): NumberedRow => ({
  table: 'shop',
  id: 'shop',
  row: { ...DEFAULT_WORKSHOP, name } as unknown as NumberedRow['row'],
  f: {},
  seq,
})

/** Opens, does something, closes. */
async function opened<T>(act: (journal: Awaited<ReturnType<typeof openJournal>>) => T | Promise<T>): Promise<T> {
  const journal = await openJournal(folder)
  try {
    return await act(journal)
  } finally {
    await journal.close()
  }
}
const nameNow = () =>
  opened(({ rows }) => (rows.get('shop/shop')?.row as { readonly name?: string } | undefined)?.name ?? null)

it('has what was written down, the newest of each record, after a restart', async () => {
  const first = await opened(async journal => {
    await journal.append([shop('one', 1)], { a: 5 })
    await journal.append([shop('two', 2)], { a: 9 })
    return journal.logId
  })
  await opened(({ logId, seen }) => {
    expect(logId).toBe(first)
    expect(seen).toEqual({ a: 9 })
  })
  expect(await nameNow()).toBe('two')
})

it('leaves out a last line that a loss of power cut off, and writes on behind it', async () => {
  await opened(journal => journal.append([shop('one', 1)], {}))
  appendFileSync(file(), '{"rows":[{"table":"shop","id":"sho')
  expect(await nameNow()).toBe('one')
  await opened(journal => journal.append([shop('two', 2)], {}))
  expect(await nameNow()).toBe('two')
})

it('refuses to go on from a file that is broken in its midst, or newer, and leaves it as it is', async () => {
  await opened(async journal => {
    await journal.append([shop('one', 1)], {})
    await journal.append([shop('two', 2)], {})
  })
  const [head, , ...rest] = readFileSync(file(), 'utf8').split('\n')
  const broken = [head, '{"rows":', ...rest].join('\n')
  writeFileSync(file(), broken)
  await expect(openJournal(folder)).rejects.toThrow(JournalError)
  expect(readFileSync(file(), 'utf8')).toBe(broken)
  writeFileSync(file(), '{"format":"tawny-ember-shared","version":9999,"logId":"x"}\n')
  await expect(openJournal(folder)).rejects.toMatchObject({ why: 'newer' })
})

it('takes a journal of the version before as it is, and says from then on that it is of this one', async () => {
  await opened(journal => journal.append([shop('one', 1)], { a: 5 }))
  const [head = '', ...rest] = readFileSync(file(), 'utf8').split('\n')
  writeFileSync(file(), [JSON.stringify({ ...JSON.parse(head), version: 10 }), ...rest].join('\n'))
  await opened(({ seen, logId }) => {
    expect(seen).toEqual({ a: 5 })
    expect(logId).toBe(JSON.parse(head).logId)
  })
  expect(await nameNow()).toBe('one')
  expect(readFileSync(file(), 'utf8').split('\n')[0]).toBe(head)
})

it('does not grow without end: what was written over is left out at a start', async () => {
  await opened(async journal => {
    for (let i = 1; i <= 50; i++) await journal.append([shop(`name ${i}`, i)], {})
  })
  const before = readFileSync(file()).length
  await opened(() => undefined)
  expect(readFileSync(file()).length).toBeLessThan(before / 10)
  expect(await nameNow()).toBe('name 50')
})

it('copies itself before the first change of a day, and not over that copy later in the day', async () => {
  vi.useFakeTimers({ toFake: ['Date'], now: Date.parse('2026-12-01T08:00:00.000Z') })
  try {
    await opened(journal => journal.append([shop('one', 1)], {}))
    vi.setSystemTime(Date.parse('2026-12-02T08:00:00.000Z'))
    await opened(journal => journal.append([shop('two', 2)], {}))
    await opened(journal => journal.append([shop('three', 3)], {}))
    const copy = readFileSync(join(folder, 'back-ups', 'workshop-2026-12-02.jsonl'), 'utf8')
    expect(copy).toContain('"one"')
    expect(copy).not.toContain('"two"')
  } finally {
    vi.useRealTimers()
  }
})
