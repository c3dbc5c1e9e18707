import { expect, it } from 'vitest'
import { speakerOf } from './speaker'
import { verdictChangeWords } from './verdict'

const say = speakerOf('metric')
const accept = { kind: 'accept', missHrc: 0, temper: null } as const
const temper = { kind: 'temper', missHrc: 0, temper: { atC: 205, holdMin: 120 } } as const
const said = (before: typeof accept | typeof temper, now: typeof accept | typeof temper) =>
  verdictChangeWords({ marks: ['B3'], hrcs: [59.1, 59.34], wasHrc: 60.9, before, now }, say)

it('says which readings changed a verdict, and what it was before', () => {
  expect(said(temper, accept)).toBe(
    'The readings of B3 (59.1, 59.3) changed this. Before them it was 60.9 HRC and “Temper again, 205 °C for 2 h” came first.',
  )
})

it('says so of another temper, and nothing where the same comes first', () => {
  expect(said(temper, { ...temper, temper: { atC: 220, holdMin: 120 } } as never)).toContain('205 °C')
  expect(said(temper, temper)).toBeNull()
  expect(said(accept, accept)).toBeNull()
})
