import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { befell, runOf, trayOfBlades } from '../../testing/run'
import type { Run, RunEvent } from '../shop/run'
import { heatingAgain, stillOffOf } from './after-cut'
import { joinedRun, withoutEvent } from './join'

const remark = (id: string, atS: number, more: object = {}): RunEvent => ({
  id,
  atS,
  kind: 'remark',
  text: id,
  ...more,
})
const run = (events: readonly RunEvent[]): Run => ({ ...runOf(trayOfBlades(1), {}), events: [...events] })
const idsOf = ({ events }: Run) => events.map(event => event.id)

describe('two records of one run', () => {
  it('keep every remark of both, in order of time', () => {
    const here = run([remark('a', 1), remark('b', 9)])
    const there = run([remark('a', 1), remark('c', 3), remark('d', 5), remark('e', 12)])
    expect(idsOf(joinedRun(here, there))).toEqual(['a', 'c', 'd', 'b', 'e'])
  })

  it('take a press that was corrected, whichever side corrected it', () => {
    const pressed = run([remark('a', 10)])
    const corrected = run([remark('a', 4, { pressedS: 10 })])
    for (const joined of [joinedRun(pressed, corrected), joinedRun(corrected, pressed)])
      expect(joined.events[0]?.atS).toBe(4)
  })

  it('take what was answered and what is back on, and the clock that went further with its question', () => {
    const off = { ...befell(10, 'controller-error'), stillOff: true } as RunEvent
    const back = { ...run([]), events: heatingAgain([off], 40) }
    const cut = befell(50, 'power-cut', [], 5)
    const here = run([off, cut])
    const there = {
      ...back,
      events: [...back.events, { ...cut, afterCut: 'go-on' } as RunEvent],
      clock: [...here.clock, { realMs: 9e12, runS: 5, speed: 1 }],
      asked: { kind: 'away' as const, byS: 90, seenS: 5 },
    }
    for (const joined of [joinedRun(here, there), joinedRun(there, here)]) {
      expect(stillOffOf(joined)).toBeNull()
      expect(joined.events.map(event => event.kind === 'incident' && event.afterCut)).toEqual([undefined, 'go-on'])
      expect([joined.clock, joined.asked]).toEqual([there.clock, there.asked])
    }
    // Answered, with the leg that the answer added: the question of the older record does not come back.
    const answered = { ...here, clock: [...there.clock, { realMs: 9e12 + 1, runS: 6, speed: 1 }] }
    expect(joinedRun(there, answered).asked).toBeUndefined()
  })

  it('have ended where one of them has', () => {
    const ended = { ...run([]), endedAt: '2026-03-04T08:00:00.000Z' }
    expect(joinedRun(run([]), ended).endedAt).toBe(ended.endedAt)
  })

  it('come to the same in either order and again', () => {
    const events = fc
      .uniqueArray(fc.nat(40), { maxLength: 12 })
      .map(ids => ids.sort((a, b) => a - b).map(n => remark(`r${n}`, n)))
    fc.assert(
      fc.property(events, events, (a, b) => {
        const one = joinedRun(run(a), run(b))
        expect(idsOf(one)).toEqual(idsOf(joinedRun(run(b), run(a))))
        expect(idsOf(joinedRun(one, run(b)))).toEqual(idsOf(one))
        expect(new Set(idsOf(one))).toEqual(new Set([...a, ...b].map(event => event.id)))
      }),
    )
  })

  it('leaves out what one copy took out, whichever comes first', () => {
    const both = run([remark('a', 1), remark('b', 2)])
    const without = withoutEvent(both, 'a')
    for (const joined of [joinedRun(both, without), joinedRun(without, both)]) expect(idsOf(joined)).toEqual(['b'])
  })
})
