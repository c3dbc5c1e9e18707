import { describe, expect, it } from 'vitest'
import { ok, type Result } from '../core/codes/result'
import { createLane } from './lane'

/** A lane whose answers are given by hand, in the order they were asked. */
function laneByHand() {
  const asked: { readonly request: unknown; readonly give: (answer: Result<unknown>) => void }[] = []
  const lane = createLane(
    (_, request) =>
      new Promise(resolve => {
        asked.push({ request, give: resolve })
      }),
  )
  const settle = () => new Promise(resolve => setTimeout(resolve, 0))
  return { lane, asked, settle }
}

describe('questions in a row', () => {
  it('are asked one at a time, and each gets its own answer', async () => {
    const { lane, asked, settle } = laneByHand()
    const [first, second] = [lane.ask('predict', 1), lane.ask('predict', 2)]
    await settle()
    expect(asked.map(a => a.request)).toEqual([1])
    asked[0]?.give(ok('one'))
    expect(await first).toEqual(ok('one'))
    await settle()
    expect(asked.map(a => a.request)).toEqual([1, 2])
    asked[1]?.give(ok('two'))
    expect(await second).toEqual(ok('two'))
  })

  it('are never asked once nobody waits for them: of what is dragged only the newest is', async () => {
    const { lane, asked, settle } = laneByHand()
    const first = lane.ask('batch', 0)
    const dragged = Array.from({ length: 5 }, (_, i) => {
      const control = new AbortController()
      const answer = lane.ask('batch', i + 1, { signal: control.signal })
      answer.catch(() => undefined)
      return { control, answer }
    })
    for (const { control } of dragged.slice(0, -1)) control.abort()
    asked[0]?.give(ok(null))
    await first
    await settle()
    expect(asked.map(a => a.request)).toEqual([0, 5])
    await expect(dragged[0]?.answer).rejects.toThrow()
  })

  it('go on after one that could not be answered', async () => {
    let broken = true
    const lane = createLane(async (_, request) => {
      if (broken) throw new Error('no worker')
      return ok(request)
    })
    await expect(lane.ask('predict', 1)).rejects.toThrow('no worker')
    broken = false
    expect(await lane.ask('predict', 2)).toEqual(ok(2))
  })
})
