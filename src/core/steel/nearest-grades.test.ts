import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { compositionIn } from '../files/own-grade/composition-text'
import { compositionDoubts, nearestGrades } from './nearest-grades'

const named = (composition: Parameters<typeof nearestGrades>[0]) =>
  nearestGrades(composition, GRADES).map(({ grade }) => grade.name)

describe('the grades nearest to a composition', () => {
  it('finds each shipped grade by its own composition, with nothing that differs', () => {
    for (const grade of GRADES) {
      const [first] = nearestGrades(grade.nominal, GRADES)
      expect(first?.differs, grade.name).toEqual([])
      // Ingot and powder of one composition are told apart by how they are made, not by their sheet.
      expect(first?.grade.name.replace(' powder', ''), grade.name).toBe(grade.name.replace(' powder', ''))
    }
  })

  it('says what differs where none is the same: standard compositions of EN 10088-1 and ISO 4957, from memory', () => {
    // 0.33 C, 13 Cr: leaner than X46Cr13, richer than any softer grade here.
    const [near] = nearestGrades({ C: 0.33, Cr: 13, Mn: 0.5 }, GRADES)
    expect(near?.differs.map(({ element }) => element)).toContain('C')
    expect(named({ C: 1.5, Cr: 12, Mo: 0.8, V: 0.9 })[0]).toBe('X153CrMoV12')
    expect(named({ C: 0.88, Cr: 4.2, Mo: 4.9, W: 6.2, V: 1.9 })[0]).toBe('HS6-5-2C')
  })

  it('reads the line of a sheet in any order, as a table or with ranges', () => {
    for (const line of [
      'C 1.45 Cr 14 V 4 Mo 2',
      'Mo: 2,0 %  V: 4  Cr: 14.0  C: 1,45',
      '1.45C-14Cr-4V-2Mo',
      'C\tCr\tMo\tV\n1.45\t14\t2\t4',
      'Carbon 1.40-1.50, Chromium 13.5-14.5, Vanadium 3.8-4.2, Molybdenum 1.9-2.1',
    ]) {
      const composition = compositionIn(line)
      expect(composition && named(composition)[0], line).toBe('X145CrVMo14-4-2')
    }
    expect(compositionIn('440C')).toBeNull()
  })

  it('keeps a slip of the comma, parts per million and more than all of it from being a steel', () => {
    expect(compositionDoubts({ C: 13.5, Cr: 14 })).toEqual([
      { code: 'too-much', element: 'C', value: 13.5, tenth: 1.35 },
    ])
    expect(compositionDoubts({ C: 0.6, N: 1500 })).toContainEqual({
      code: 'too-much',
      element: 'N',
      value: 1500,
      tenth: null,
    })
    expect(compositionDoubts({ C: 1, Cr: 39, Ni: 39 })).toEqual([{ code: 'over-all', sum: 79 }])
    for (const { nominal } of GRADES) expect(compositionDoubts(nominal)).toEqual([])
  })
})
