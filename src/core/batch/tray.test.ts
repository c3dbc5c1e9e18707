import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gradeOf, trayOf, withBlade, withTray } from '../../testing/tray'
import type { Batch } from '../shop/batch'
import { batchSchema } from '../shop/batch'
import { addTemperAfter } from './added-temper'
import { bladesOf, countOf, countOfLine, routeOfBlade, sharedMarks, tempersOf } from './tray'
import { addLine, nextMark, removeLine, setCount } from './tray-edit'

const LATER = '2026-03-03T08:00:00.000Z'
const grade = gradeOf('X65Cr13')
const marks = (batch: Batch) => bladesOf(batch).map(b => b.mark)
const ids = () => {
  let n = 0
  return () => `new-${++n}`
}
const renamed = (batch: Batch, mark: string): Batch => ({
  ...batch,
  lines: batch.lines.map((line, i) => (i === 0 ? { ...line, mark } : line)),
})

describe('the tray', () => {
  it('gives every blade a mark of its own; a line of one keeps its plain mark', () => {
    expect(marks(trayOf(grade, [{ mark: 'A', count: 2 }, { mark: 'C' }]))).toEqual(['A1', 'A2', 'C'])
  })

  it('knows the marks that two blades bear', () => {
    const twins = withTray(trayOf(grade, []), [
      { mark: 'A', count: 2 },
      { mark: 'A1', id: 'other' },
    ])
    expect(sharedMarks(twins)).toEqual(['A1'])
    expect(sharedMarks(trayOf(grade, [{ mark: 'A', count: 3 }]))).toEqual([])
  })

  it('takes the next line sized like the last, under a mark that no blade has', () => {
    const batch = addLine(trayOf(grade, [{ mark: 'A', lengthMm: 310, thicknessMm: 3.1 }]), 'g', ids())
    expect(batch.lines.at(-1)).toMatchObject({ mark: 'B', lengthMm: 310, thicknessMm: 3.1 })
    expect(marks(batch)).toEqual(['A', 'B'])
    expect(batchSchema.safeParse(batch).success).toBe(true)
    const alphabet = Array.from({ length: 26 }, (_, i) => ({ mark: String.fromCharCode(65 + i) }))
    expect(nextMark(trayOf(grade, alphabet))).toBe('AA')
  })
})

describe('what is known of a blade', () => {
  const noted = withBlade(trayOf(grade, [{ mark: 'A', count: 3 }]), 'A2', {
    serial: '26-014',
    packet: { sealed: true, leak: null },
  })
  const known = (batch: Batch) => bladesOf(batch).find(b => b.serial === '26-014')

  it('stays with it when its line is renamed', () => {
    expect(known(renamed(noted, 'K'))).toMatchObject({ mark: 'K2', record: { packet: { sealed: true } } })
  })

  it('stays with it when others come and go: A becomes A1 and A2, and A again', () => {
    const one = withBlade(trayOf(grade, [{ mark: 'A' }]), 'A', { serial: '26-014' })
    const two = setCount(one, 'line-A', 2, ids(), LATER)
    expect([marks(one), marks(two)]).toEqual([['A'], ['A1', 'A2']])
    expect(known(two)?.mark).toBe('A1')
    expect(known(setCount(two, 'line-A', 1, ids(), LATER))?.mark).toBe('A')
  })

  it('goes with it when it leaves, and comes back with it', () => {
    const fewer = setCount(noted, 'line-A', 1, ids(), LATER)
    expect([known(fewer), countOf(fewer), countOfLine(fewer, 'line-A')]).toEqual([undefined, 1, 1])
    expect(fewer.blades.find(b => b.serial === '26-014')).toMatchObject({ removedAt: LATER, packet: { sealed: true } })
    const again = setCount(fewer, 'line-A', 4, ids(), LATER)
    expect(known(again)).toMatchObject({ mark: 'A2', record: { packet: { sealed: true } } })
    expect(marks(again)).toEqual(['A1', 'A2', 'A3', 'A4'])
  })

  it('is kept when its whole line is taken off', () => {
    const gone = removeLine(noted, 'line-A', LATER)
    expect([gone.lines, marks(gone)]).toEqual([[], []])
    expect(gone.blades.map(b => b.removedAt)).toEqual([LATER, LATER, LATER])
  })

  it('is never lost, whatever is counted (law)', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 6 }), counts => {
        const newId = ids()
        let batch = noted
        for (const count of counts) {
          batch = setCount(batch, 'line-A', count, newId, LATER)
          expect(countOfLine(batch, 'line-A')).toBe(count)
          expect(new Set(marks(batch)).size).toBe(count)
        }
        for (const blade of noted.blades) expect(batch.blades.map(b => b.id)).toContain(blade.id)
        expect(new Set(batch.blades.map(b => `${b.lineId} ${b.number}`)).size).toBe(batch.blades.length)
      }),
    )
  })
})

it('a temper of a blade’s own stands behind its group’s, and is its alone', () => {
  const batch = addTemperAfter(trayOf(grade, [{ mark: 'A', count: 2 }]), [{ bladeId: 'A2', stage: 'temper-2' }], {
    atC: 230,
    holdMin: 120,
  })
  const [first, second] = bladesOf(batch)
  if (!first || !second) throw new Error('blades')
  expect(tempersOf(first)).toEqual(first.group.route.tempers)
  expect(routeOfBlade(second).tempers).toEqual([...second.group.route.tempers, { atC: 230, holdMin: 120 }])
})
