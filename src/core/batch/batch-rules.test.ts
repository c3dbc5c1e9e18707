import { describe, expect, it } from 'vitest'
import { gradeOf, trayOf, withTray } from '../../testing/tray'
import { newProblems } from '../codes/problem'
import { MOST } from '../shop/bounds'
import { batchProblems } from './batch-rules'

const grade = gradeOf('X65Cr13')
const codes = (batch: Parameters<typeof batchProblems>[0]) => batchProblems(batch).map(p => [p.code, p.path])

describe('what a batch may hold', () => {
  it('marks are its own: A1 of a line of two is not A1 of another line', () => {
    const twins = withTray(trayOf(grade, []), [{ mark: 'A', count: 2 }, { mark: 'B' }, { mark: 'A1', id: 'other' }])
    expect(codes(twins)).toEqual([
      ['mark-taken', 'lines.0.mark'],
      ['mark-taken', 'lines.2.mark'],
    ])
    expect(codes(trayOf(grade, [{ mark: 'A', count: 12 }, { mark: 'B' }]))).toEqual([])
  })

  it('lines and blades are counted, however they are shared out', () => {
    const lines = (n: number, count: number) =>
      withTray(
        trayOf(grade, []),
        Array.from({ length: n }, (_, i) => ({ mark: `L${i}-`, count })),
      )
    expect(codes(lines(MOST.lines, 1))).toEqual([])
    expect(codes(lines(MOST.lines + 1, 1))).toEqual([['too-many-lines', 'lines']])
    expect(codes(lines(4, 60))).toEqual([])
    expect(codes(lines(5, 60))).toEqual([['too-many-blades', 'blades']])
  })

  it('what was wrong before stands in no one’s way', () => {
    const wrong = batchProblems(withTray(trayOf(grade, []), [{ mark: 'A' }, { mark: 'A', id: 'other' }]))
    expect(newProblems(wrong, wrong)).toEqual([])
    expect(newProblems([], wrong)).toEqual(wrong)
  })
})
