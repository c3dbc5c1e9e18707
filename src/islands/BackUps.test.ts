import { describe, expect, it } from 'vitest'
import { isDue } from './BackUps'

const at = (time: string) => `2026-03-03T${time}:00.000Z`
const now = Date.parse(at('18:00'))
const run = (startedAt: string, endedAt: string | null) => ({ startedAt, endedAt })

describe('a back-up is due', () => {
  it.each([
    ['where there is none yet', null, null, true],
    ['a day after the last', '2026-03-02T17:59:00.000Z', null, true],
    ['not sooner', at('06:00'), null, false],
    ['after a run', at('06:00'), run(at('08:00'), at('16:00')), true],
    ['not again after that run', at('17:00'), run(at('08:00'), at('16:00')), false],
    ['never in a run', null, run(at('08:00'), null), false],
    ['but a run that nobody ended is not waited for', null, run('2026-03-02T08:00:00.000Z', null), true],
  ] as const)('%s', (_, lastAt, last, due) => {
    expect(isDue(lastAt, last, now)).toBe(due)
  })
})
