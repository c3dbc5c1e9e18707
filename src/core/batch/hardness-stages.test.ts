import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, readingOf, trayOf } from '../../testing/tray'
import { logRows } from '../logbook/logbook'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Reading } from '../shop/reading'
import { predict } from '../steel/predict'
import { latestStage, predictedAt, routeUpTo, stagesOf } from './hardness-stages'

const grade = gradeOf('X65Cr13')
const batch = trayOf(grade, [{ mark: 'A', count: 2 }])
const group = groupOf(batch)
const reading = (bladeId: string, hrc: number, stage: Reading['stage'] = 'temper-2', minute = 0): Reading =>
  readingOf(bladeId, hrc, stage, { at: `2026-03-03T10:${String(minute).padStart(2, '0')}:00.000Z` })

describe('stages of a route', () => {
  it('follow its cold and its tempers', () => {
    expect(stagesOf(group.route)).toEqual(['as-quenched', 'after-cold', 'temper-1', 'temper-2'])
    expect(stagesOf({ cold: null, tempers: [] })).toEqual(['as-quenched'])
  })

  it('cut the route to what had been done, so that a prediction starts there', () => {
    const prediction = predict(grade, group.route)
    for (const stage of stagesOf(group.route)) {
      const then = predict(grade, routeUpTo(group.route, stage))
      expect(then.finalHrc.mean).toBeCloseTo(predictedAt(prediction, stage) as number, 9)
    }
  })

  it('know the latest one that was measured', () => {
    expect(latestStage(group.route, [])).toBeNull()
    expect(latestStage(group.route, [reading('A1', 63, 'after-cold'), reading('A1', 60.5)])).toBe('temper-2')
  })
})

describe('the logbook', () => {
  const rows = logRows(
    [
      reading('A1', 60.5),
      reading('A1', 61.5, 'temper-2', 1),
      reading('A2', 58, 'temper-2', 5),
      reading('A1', 63, 'after-cold', 2),
    ],
    [batch],
    DEFAULT_WORKSHOP.tester,
  )

  it('has a line a blade and stage, newest first, with the mean of its readings', () => {
    expect(rows.map(r => [r.mark, r.stage, r.hrc, r.n])).toEqual([
      ['A2', 'temper-2', 58, 1],
      ['A1', 'after-cold', 63, 1],
      ['A1', 'temper-2', 61, 2],
    ])
  })

  it('stands each beside its prediction and the target', () => {
    const finished = rows.find(r => r.mark === 'A1' && r.stage === 'temper-2')
    expect(finished?.off).toBeCloseTo(61 - predict(grade, group.route).finalHrc.mean, 9)
    expect(finished?.inTarget).toBe(true)
    expect(rows.find(r => r.mark === 'A2')?.inTarget).toBe(false)
  })

  it('leaves out readings whose batch is gone', () => {
    expect(logRows([reading('A1', 60)], [], DEFAULT_WORKSHOP.tester)).toEqual([])
  })
})
