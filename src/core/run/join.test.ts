import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runOf, trayOfBlades } from '../../testing/run'
import type { Run, RunEvent } from '../shop/run'
import { joinedRun } from './join'

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
})
