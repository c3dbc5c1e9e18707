import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, readingOf, trayOf, withBlade } from '../../testing/tray'
import { addTemperAfter } from '../batch/added-temper'
import { predictedAt } from '../batch/hardness-stages'
import { bladesOf } from '../batch/tray'
import { combineHardness } from '../rockwell/files'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { predict } from '../steel/predict'
import { bladeHardness } from './hardness'
import { measuredBladesOf } from './measured-blades'
import { measuredAt } from './measured-hardness'

const grade = gradeOf('X65Cr13')
const plain = trayOf(grade, [{ mark: 'A', count: 3 }])
const { tester } = DEFAULT_WORKSHOP
const of = (batch = plain, readings = [readingOf('A1', 59, 'temper-2')]) =>
  measuredBladesOf(batch, groupOf(batch), { readings, tester, experience: null })

describe('how hard the blades of a steel are', () => {
  it('is told of each stage a blade was measured at, in the order of its route, and of no other blade', () => {
    const measured = of(plain, [readingOf('A1', 58, 'temper-2'), readingOf('A1', 63, 'as-quenched')])
    expect(Object.keys(measured)).toEqual(['A1'])
    expect(measured.A1?.map(hardness => hardness.stage)).toEqual(['as-quenched', 'temper-2'])
    expect(measuredAt(measured, 'A1', 'temper-2')?.hrc).toBeCloseTo(58, 9)
    expect([measuredAt(measured, 'A1', 'temper-1'), measuredAt(measured, 'A2', 'temper-2')]).toEqual([null, null])
  })

  it('knows the stages after tempers that one blade had by itself', () => {
    const own = addTemperAfter(plain, [{ bladeId: 'A1', stage: 'temper-2' }], { atC: 230, holdMin: 120 })
    expect(measuredAt(of(own, [readingOf('A1', 57, 'temper-3')]), 'A1', 'temper-3')?.hrc).toBeCloseTo(57, 9)
  })

  it('by files alone leans on what was predicted of the stage, as at the bench', () => {
    const stage = 'temper-2' as const
    const filed = withBlade(plain, 'A2', {
      files: [{ stage, skates: null, bites: 65, at: '2026-03-04T08:00:00.000Z' }],
    })
    const found = measuredAt(of(filed, []), 'A2', stage)
    const due = predictedAt(predict(grade, groupOf(filed).route), stage)
    const blade = bladesOf(filed).find(one => one.id === 'A2')
    const alone = blade && bladeHardness(blade, stage, { readings: [], tester })
    expect(Math.abs((found?.hrc ?? 0) - (due ?? 0))).toBeLessThan(Math.abs((alone?.hrc ?? 0) - (due ?? 0)))
  })

  it('by files after a temper of its own leans on what that temper should have made of it', () => {
    const own = addTemperAfter(plain, [{ bladeId: 'A1', stage: 'temper-2' }], { atC: 230, holdMin: 120 })
    const files = [{ stage: 'temper-3' as const, skates: 50, bites: 65, at: '2026-03-04T08:00:00.000Z' }]
    const found = measuredAt(of(withBlade(own, 'A1', { files }), []), 'A1', 'temper-3')
    const withoutDue = combineHardness({ readings: null, files, predicted: null })
    expect(found?.u95).toBeLessThan(((withoutDue?.high ?? 0) - (withoutDue?.low ?? 0)) / 2)
  })

  it('is known of a steel nothing can be predicted of', () => {
    const own = { ...plain, groups: plain.groups.map(group => ({ ...group, gradeId: 'gone' })) }
    expect(measuredAt(of(own), 'A1', 'temper-2')?.hrc).toBeCloseTo(59, 9)
  })
})
