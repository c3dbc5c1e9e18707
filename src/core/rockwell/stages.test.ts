import { describe, expect, it } from 'vitest'
import { DEFAULT_WORKSHOP, newBatch, newGroup } from '../record/defaults'
import type { Batch, Reading } from '../record/schemas'
import { findGrade } from '../steel/grades'
import { predict } from '../steel/predict'
import { partApart } from './apart'
import { logRows } from './logbook'
import { latestStage, predictedAt, routeUpTo, stageLabel, stagesOf } from './stages'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
const batch: Batch = newBatch({ batch: 'b', group: 'g' }, 'Tray', grade, DEFAULT_WORKSHOP, '2026-03-02T08:00:00.000Z')
const group = batch.groups[0] ?? newGroup('g', grade, DEFAULT_WORKSHOP, 2)
const reading = (piece: string, hrc: number, stage: Reading['stage'] = 'temper-2', minute = 0): Reading => ({
  id: `${piece}${stage}${hrc}${minute}`,
  batchId: 'b',
  groupId: 'g',
  piece,
  stage,
  hrc,
  at: `2026-03-03T10:${String(minute).padStart(2, '0')}:00.000Z`,
  deletedAt: null,
})

describe('stages of a route', () => {
  it('follow its cold and its tempers', () => {
    expect(stagesOf(group.route)).toEqual(['as-quenched', 'after-cold', 'temper-1', 'temper-2'])
    expect(stagesOf({ cold: null, tempers: [] })).toEqual(['as-quenched'])
    expect(stageLabel('temper-2')).toBe('after temper 2')
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

describe('a blade apart', () => {
  it('is left out and named; the others stay', () => {
    const { together, apart } = partApart([
      reading('A1', 60.5),
      reading('A2', 60),
      reading('A3', 55),
      reading('A3', 55.5),
      reading('A4', 61),
    ])
    expect(apart).toEqual([{ piece: 'A3', mean: 55.25 }])
    expect(together.map(r => r.piece)).toEqual(['A1', 'A2', 'A4'])
  })

  it('needs others to be apart from', () => {
    expect(partApart([reading('A1', 60), reading('A2', 55)]).apart).toEqual([])
    expect(partApart([]).apart).toEqual([])
  })

  it('is not made of ordinary scatter', () => {
    expect(partApart([reading('A1', 60), reading('A2', 61), reading('A3', 59.5)]).apart).toEqual([])
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
  )

  it('has a line a blade and stage, newest first, with the mean of its readings', () => {
    expect(rows.map(r => [r.piece, r.stage, r.mean, r.n])).toEqual([
      ['A2', 'temper-2', 58, 1],
      ['A1', 'after-cold', 63, 1],
      ['A1', 'temper-2', 61, 2],
    ])
  })

  it('stands each beside its prediction and the target', () => {
    const finished = rows.find(r => r.piece === 'A1' && r.stage === 'temper-2')
    expect(finished?.off).toBeCloseTo(61 - predict(grade, group.route).finalHrc.mean, 9)
    expect(finished?.inTarget).toBe(true)
    expect(rows.find(r => r.piece === 'A2')?.inTarget).toBe(false)
  })

  it('leaves out readings whose batch is gone', () => {
    expect(logRows([reading('A1', 60)], [])).toEqual([])
  })
})
