import { describe, expect, it } from 'vitest'
import type { Decision } from '../shop/batch'
import type { Stage } from '../shop/route'
import { isAccepted, undecided } from './decided'

const decided = (kind: 'accept' | 'temper', stage: Stage): Decision => ({
  by: 'option',
  at: '2026-05-02T10:00:00.000Z',
  kind,
  temper: kind === 'temper' ? { atC: 200, holdMin: 120 } : null,
  cold: null,
  from: { stage, hrc: 60, u95: 1 },
  target: { min: 59, max: 61 },
  toHrc: 60,
  inTargetProbability: 0.8,
  note: '',
})
const inWords: Decision = { by: 'words', at: '2024-05-02T10:00:00.000Z', what: 'Accept', why: '' }

describe('what was decided of a steel', () => {
  it('is accepted by its last decision, at the stage that was measured', () => {
    expect(isAccepted({ decisions: [decided('accept', 'temper-2')] }, 'temper-2')).toBe(true)
    expect(isAccepted({ decisions: [decided('accept', 'temper-2')] }, 'temper-3')).toBe(false)
    expect(isAccepted({ decisions: [decided('accept', 'temper-2'), decided('temper', 'temper-2')] }, 'temper-2')).toBe(
      false,
    )
    expect(isAccepted({ decisions: [] }, 'temper-2')).toBe(false)
  })

  it('waits where it was measured and nothing was decided since', () => {
    const at = (name: string, latest: Stage | null, ...decisions: Decision[]) => ({
      name,
      group: { decisions },
      latest: latest && { stage: latest },
    })
    const waiting = undecided([
      at('never measured', null),
      at('measured', 'temper-2'),
      at('accepted', 'temper-2', decided('accept', 'temper-2')),
      at('tempered again and read', 'temper-3', decided('temper', 'temper-2')),
      at('from an earlier version', 'temper-2', inWords),
    ])
    expect(waiting.map(one => one.name)).toEqual(['measured', 'tempered again and read'])
  })
})
