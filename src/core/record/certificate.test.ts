import { describe, expect, it } from 'vitest'
import { findGrade } from '../steel/grades'
import { certificateOf } from './certificate'
import { DEFAULT_WORKSHOP, newBatch } from './defaults'
import { newLog } from './oven-log'
import type { Batch, OvenLog, Reading } from './schemas'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
const at = '2026-03-05T08:00:00.000Z'
const plain = newBatch({ batch: 'b', group: 'g' }, 'Fillets', grade, DEFAULT_WORKSHOP, at)
const blade = { groupId: 'g', lengthMm: 250, widthMm: 40, thicknessMm: 3, bevels: 'full' as const }
const batch: Batch = {
  ...plain,
  blades: [{ ...blade, id: 'x', mark: 'A', count: 3 }],
  pieceTempers: [{ mark: 'A2', tempers: [{ atC: 230, holdMin: 120 }] }],
}
const tempers = batch.groups[0]?.route.tempers.length ?? 0
const reading = (id: string, piece: string, hrc: number, more: Partial<Reading> = {}): Reading => ({
  id,
  batchId: 'b',
  groupId: 'g',
  piece,
  stage: `temper-${tempers as 2}`,
  hrc,
  at,
  deletedAt: null,
  ...more,
})
const readings = [
  reading('1', 'A2', 60),
  reading('2', 'A2', 60.5, { roundFace: { diameterMm: 12.7, shownHrc: 59.5 } }),
  reading('3', 'A2', 60, { unchecked: true }),
  reading('4', 'A2', 40, { deletedAt: at }),
  reading('5', 'A1', 55),
]
const of = (mark: string, logs: readonly OvenLog[] = []) =>
  certificateOf(batch, mark, DEFAULT_WORKSHOP, readings, [], logs, at)

describe('a certificate', () => {
  it('holds the blade’s own readings, route and aim, and nothing of another’s or of what was taken out', () => {
    expect(of('A2')).toMatchObject({
      blade: 'A2',
      grade: 'X65Cr13',
      format: 'tawny-ember-certificate',
      practice: false,
    })
    expect(of('A2')?.route.tempers.at(-1)).toEqual({ atC: 230, holdMin: 120 })
    expect(of('A1')?.route.tempers).toHaveLength(tempers)
    expect(of('A2')?.hardness).toHaveLength(1)
    expect(of('A2')?.hardness[0]).toMatchObject({ readings: [60, 60.5, 60], hrc: 60.2 })
    expect(of('Z9')).toBeNull()
  })

  it('says what a reader must know of the readings: a round face, a tester that was not checked', () => {
    expect(of('A2')?.hardness[0]).toMatchObject({ roundFace: true, uncheckedTester: true })
    expect(of('A1')?.hardness[0]).toMatchObject({ roundFace: false, uncheckedTester: false })
  })

  it('gives the tempers as they were logged, and says of none that it was where no log is', () => {
    const load = { temper: 1, groupIds: ['g'] }
    const log = newLog({ id: 'l', ovenId: 'oven-1', batchId: 'b', load, name: 'log', addedAt: at }, [
      [0, 207],
      [150, 207],
      [170, 60],
    ])
    const measured = of('A2', [log])?.measured
    expect(measured?.heat).toBeNull()
    expect(Math.abs((measured?.tempers[0]?.meanC ?? 0) - 207)).toBeLessThan(6)
    expect(measured?.tempers.slice(1).every(t => t === null)).toBe(true)
  })
})
