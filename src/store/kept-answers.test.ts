import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { problem } from '../core/codes/problem'
import { ok } from '../core/codes/result'
import type { Answered, Request } from '../core/contract/questions'
import { replaceAll } from './backup'
import { forgetAnswers, keepAnswer, keptAnswer } from './kept-answers'
import { emptyData, newWorkshop } from './seed'

const WORKER = '/_astro/core.worker-one.js'
const NEXT_WORKER = '/_astro/core.worker-two.js'

/** The store looks at nothing of a request but what it is about. */
const batch = (id: string, note = ''): Request<'batch'> => ({ batch: { id, note } }) as unknown as Request<'batch'>
const answer = (of: string) => ok(of) as unknown as Answered<'batch'>

beforeEach(forgetAnswers)

describe('an answer kept for the next visit', () => {
  it('is given to the very same question, read by its address or by its name', async () => {
    await keepAnswer('batch', batch('a'), answer('of a'), `http://127.0.0.1:4000${WORKER}`)
    expect(await keptAnswer('batch', batch('a'), WORKER)).toEqual(ok('of a'))
  })

  it('is given to no other question: what was asked differs, or which batch', async () => {
    await keepAnswer('batch', batch('a'), answer('of a'), WORKER)
    expect(await keptAnswer('batch', batch('a', 'changed'), WORKER)).toBeNull()
    expect(await keptAnswer('batch', batch('b'), WORKER)).toBeNull()
  })

  it('is not read by another version of the application, whose answers may have another shape', async () => {
    await keepAnswer('batch', batch('a'), answer('of a'), WORKER)
    expect(await keptAnswer('batch', batch('a'), NEXT_WORKER)).toBeNull()
  })

  it('gives way to the next one about the same batch', async () => {
    await keepAnswer('batch', batch('a'), answer('first'), WORKER)
    await keepAnswer('batch', batch('a', 'changed'), answer('second'), WORKER)
    expect(await keptAnswer('batch', batch('a'), WORKER)).toBeNull()
    expect(await keptAnswer('batch', batch('a', 'changed'), WORKER)).toEqual(ok('second'))
  })

  it('is none that was refused, and none to a question nothing waits for', async () => {
    await keepAnswer('batch', batch('a'), { ok: false, problems: [problem('worker-failed', {})] }, WORKER)
    expect(await keptAnswer('batch', batch('a'), WORKER)).toBeNull()
    const other = {} as Request<'chamber'>
    await keepAnswer('chamber', other, ok({}) as unknown as Answered<'chamber'>, WORKER)
    expect(await keptAnswer('chamber', other, WORKER)).toBeNull()
  })

  it('goes, the oldest first, when sixty others were kept', async () => {
    for (let i = 0; i <= 60; i++) await keepAnswer('batch', batch(`b${i}`), answer(`of ${i}`), WORKER)
    const there = await Promise.all([0, 1, 60].map(i => keptAnswer('batch', batch(`b${i}`), WORKER)))
    expect(there.map(found => found !== null)).toEqual([false, true, true])
  })

  it('goes with the workshop it tells of', async () => {
    await keepAnswer('batch', batch('a'), answer('of a'), WORKER)
    expect((await replaceAll(emptyData(newWorkshop()))).saved).toBe(true)
    expect(await keptAnswer('batch', batch('a'), WORKER)).toBeNull()
  })
})
