import { describe, expect, it } from 'vitest'
import { trayOfBlades } from '../../testing/run'
import { NOW } from '../../testing/tray'
import { withState } from '../batch/blade-state'
import { editBlade } from '../batch/tray-edit'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { sidesOf } from './side-by-side'

describe('a batch laid beside another', () => {
  it('counts soaks, edges and losses of each steel, and what was read at each stage', () => {
    const test = (id: string, result: 'holds' | 'chips') => ({
      id,
      at: NOW,
      kind: 'bone' as const,
      edgeDeg: 18,
      result,
    })
    let batch = editBlade(trayOfBlades(3), 'A1', blade => ({
      ...blade,
      soakedMin: 12,
      edgeTests: [test('a', 'holds')],
    }))
    batch = editBlade(batch, 'A2', blade => ({ ...blade, soakedMin: 14.5, edgeTests: [test('b', 'chips')] }))
    batch = withState(batch, 'A3', { is: 'cracked', at: NOW, why: '' })
    const reading = {
      id: 'r',
      batchId: batch.id,
      bladeId: 'A1',
      stage: 'temper-2' as const,
      hrc: 58.5,
      at: NOW,
      deletedAt: null,
    }
    const [side] = sidesOf(batch, { readings: [reading], tester: DEFAULT_WORKSHOP.tester })
    expect(side).toMatchObject({
      soakedMin: { from: 12, to: 14.5 },
      edges: { holds: 1, rolls: 0, chips: 1 },
      edgeDeg: 18,
      blades: 3,
      lost: 1,
    })
    expect(side?.hardness.map(({ stage, hrc }) => [stage, hrc])).toEqual([['temper-2', 58.5]])
  })
})
