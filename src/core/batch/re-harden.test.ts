import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, NOW, trayOf } from '../../testing/tray'
import { batchSchema } from '../shop/batch'
import { stateOf } from './blade-state'
import { annealHours, needingIt, sentBack } from './re-harden'
import { bladesOf, timesHardened } from './tray'

const grade = gradeOf('X65Cr13')
const batch = trayOf(grade, [{ mark: 'A', count: 4 }, { mark: 'B' }])
let made = 0
const send = (from: typeof batch, ids: readonly string[]) =>
  sentBack(from, groupOf(from), ids, {
    route: groupOf(from).route,
    why: 'chips',
    newId: () => `new-${++made}`,
    name: 'Again',
    nowIso: NOW,
  })

describe('blades that are hardened again', () => {
  it('leave their batch as sent back and stand in the new one under their marks, knowing what they were', () => {
    const { from, to } = send(batch, ['A2', 'B'])
    expect(bladesOf(from).map(blade => [blade.mark, stateOf(blade.record)])).toEqual([
      ['A1', 'whole'],
      ['A2', 'sent-back'],
      ['A3', 'whole'],
      ['A4', 'whole'],
      ['B', 'sent-back'],
    ])
    expect(bladesOf(to).map(blade => [blade.mark, blade.record.before?.bladeId, timesHardened(blade)])).toEqual([
      ['A2', 'A2', 2],
      ['B', 'B', 2],
    ])
    expect(batchSchema.safeParse(to).success).toBe(true)
  })

  it('counts a third time', () => {
    const { to } = send(batch, ['A2'])
    const again = send(to, [bladesOf(to)[0]?.id ?? ''])
    expect(bladesOf(again.to).map(timesHardened)).toEqual([3])
  })

  it('takes the oven for the hold and the slow fall', () => {
    // Hold of 2 h at 870 °C, then 20 °C an hour to 600 °C: 2 + 270/20 h, by hand.
    expect(annealHours({ atC: 870, holdMin: 120, coolCPerH: 20, downToC: 600, source: '' })).toBeCloseTo(15.5, 9)
  })

  it('are those that miss the target; what was not read goes with them only where all that was read needs it', () => {
    const target = { min: 59, max: 61 }
    const read = (bladeId: string, measured: number) => ({ bladeId, measured })
    const ids = ['A1', 'A2', 'A3', 'A4']
    expect(needingIt(ids, [read('A1', 60), read('A2', 56.5), read('A3', 61.2)], target)).toEqual(['A2'])
    expect(needingIt(ids, [read('A1', 56), read('A2', 56.5)], target)).toEqual(ids)
    expect(needingIt(ids, [], target)).toEqual(ids)
    expect(needingIt(ids, [read('A1', 60), read('A2', 60.4)], target)).toEqual([])
  })
})
