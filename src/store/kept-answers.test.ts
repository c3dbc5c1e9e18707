import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { problem } from '../core/codes/problem'
import { ok } from '../core/codes/result'
import type { Answered, Request } from '../core/contract/questions'
import { emptyData } from '../core/files/pieces'
import { replaceAll } from './backup'
import { forgetAnswers, isAnyKeptOf, keepAnswer, keptAnswer } from './kept-answers'
import { newWorkshop } from './seed'

const WORKER = '/_astro/core.worker-one.js'
const NEXT_WORKER = '/_astro/core.worker-two.js'

/** The store looks at nothing of a request but its text. */
const batch = (id: string, note = ''): Request<'batch'> => ({ batch: { id, note } }) as unknown as Request<'batch'>
const answer = (of: string, stamp: string | null = 's1') => ({ answer: ok(of) as unknown as Answered<'batch'>, stamp })
const keep = (id: string, found: ReturnType<typeof answer>, worker = WORKER) =>
  keepAnswer('batch', batch(id), found, worker)
const kept = (request: Request<'batch'>, worker = WORKER) => keptAnswer('batch', request, worker)
const told = (request: Request<'batch'>, of: string, stamp?: string) => ({
  ...answer(of, stamp),
  asked: JSON.stringify(request),
})
/** A question that is of nothing but what it asks. */
const steels = (id: string): Request<'rank-steels'> => batch(id) as unknown as Request<'rank-steels'>

beforeEach(forgetAnswers)

describe('an answer kept for the next visit', () => {
  it('is given to the very same question with the stamp it was answered at, read by its address or by its name', async () => {
    await keep('a', answer('of a'), `http://127.0.0.1:4000${WORKER}`)
    expect(await kept(batch('a'))).toEqual(told(batch('a'), 'of a'))
  })

  it('is given to no other question: what was asked differs, or of which kind it is', async () => {
    await keep('a', answer('of a'))
    await keepAnswer('rank-steels', steels('a'), answer('steels') as never, WORKER)
    expect(await kept(batch('b'))).toBeNull()
    expect(await keptAnswer('rank-steels', steels('b'), WORKER)).toBeNull()
    expect(await keptAnswer('days', batch('a') as never, WORKER)).toBeNull()
  })

  it('is given to no other question whose short name is the same', async () => {
    // In the usual polynomial of 31, "Aa" and "BB" are one.
    await keep('Aa', answer('of Aa'))
    expect(await kept(batch('BB'))).toBeNull()
    expect(await kept(batch('Aa'))).toEqual(told(batch('Aa'), 'of Aa'))
  })

  it('about a batch that was changed since is the last one about it, with what was asked then', async () => {
    let now = Date.now()
    const clock = vi.spyOn(Date, 'now').mockImplementation(() => now++)
    for (const note of ['third', 'first', 'second'])
      await keepAnswer('batch', batch('a', note), answer(`of the ${note}`), WORKER)
    await keep('b', answer('of b'))
    clock.mockRestore()
    expect(await kept(batch('a', 'changed'))).toEqual(told(batch('a', 'second'), 'of the second'))
    expect(await kept(batch('a', 'third'))).toEqual(told(batch('a', 'third'), 'of the third'))
    expect(await kept(batch('a', 'changed'), NEXT_WORKER)).toBeNull()
  })

  it('is not read by another version of the application, whose answers may have another shape', async () => {
    await keep('a', answer('of a'))
    expect(await kept(batch('a'), NEXT_WORKER)).toBeNull()
  })

  it('gives way to a later one to the same question', async () => {
    await keep('a', answer('first'))
    await keep('a', answer('second', 's2'))
    expect(await kept(batch('a'))).toEqual(told(batch('a'), 'second', 's2'))
  })

  it('is none that was refused, and none as long as a whole log', async () => {
    const refused = { ok: false as const, problems: [problem('worker-failed', {})] }
    await keepAnswer('batch', batch('a'), { answer: refused, stamp: null }, WORKER)
    expect(await kept(batch('a'))).toBeNull()
    await keep('a', answer('x'.repeat(250_000)))
    expect(await kept(batch('a'))).toBeNull()
  })

  it('goes, the oldest first, when three hundred others were kept', async () => {
    let now = Date.now()
    const clock = vi.spyOn(Date, 'now').mockImplementation(() => now++)
    for (let i = 0; i <= 300; i++) await keep(`b${i}`, answer(`of ${i}`))
    clock.mockRestore()
    const there = await Promise.all([0, 1, 300].map(i => kept(batch(`b${i}`))))
    expect(there.map(found => found !== null)).toEqual([false, true, true])
  })

  it('tells whether the log as it stands was answered from', async () => {
    await keep('a', answer('of a', 's1'))
    expect([await isAnyKeptOf('s1'), await isAnyKeptOf('s2')]).toEqual([true, false])
  })

  it('goes with the workshop it tells of', async () => {
    await keep('a', answer('of a'))
    expect((await replaceAll(emptyData(newWorkshop()))).saved).toBe(true)
    expect(await kept(batch('a'))).toBeNull()
  })
})
