import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isSerialPattern, nextSerials, serialGiver, serialPrefix, USUAL_SERIALS } from './serial'

describe('serials', () => {
  it('go on after the highest of their year, and begin anew with a year', () => {
    expect(nextSerials('YY-NNN', 2026, ['26-013', '26-002', '25-200'], 2)).toEqual(['26-014', '26-015'])
    expect(nextSerials('YY-NNN', 2027, ['26-013'], 1)).toEqual(['27-001'])
  })

  it('grow longer once their digits are used up, and are still counted', () => {
    expect(nextSerials('YY-NN', 2026, ['26-99'], 2)).toEqual(['26-100', '26-101'])
    expect(nextSerials('YY-NN', 2026, ['26-100', '26-99'], 1)).toEqual(['26-101'])
  })

  it('are written as the shop writes them: a long year, a letter behind, no year at all', () => {
    expect(nextSerials('YYYY/NNNN', 2026, ['2026/0007'], 1)).toEqual(['2026/0008'])
    expect(nextSerials('KNN-A', 2026, ['K07-A', 'K9x-A'], 1)).toEqual(['K08-A'])
    expect(serialPrefix('YYYY/NNNN', 2026)).toBe('2026/')
  })

  it('need one place for the number', () => {
    expect(['YY-NNN', 'N', 'NN of YYYY'].map(isSerialPattern)).toEqual([true, true, true])
    expect(['YY', 'N-N', ''].map(isSerialPattern)).toEqual([false, false, false])
    expect(nextSerials('no number', 2026, [], 1)).toEqual(nextSerials(USUAL_SERIALS, 2026, [], 1))
  })

  it('are given one after another as they would be one by one, each year for itself (law)', () => {
    const years = fc.array(fc.integer({ min: 2024, max: 2027 }), { maxLength: 12 })
    const patterns = fc.constantFrom('YY-NNN', 'NNN', 'NN of YYYY', 'no number')
    fc.assert(
      fc.property(patterns, years, fc.array(fc.integer({ min: 0, max: 99 })), (pattern, asked, numbers) => {
        const used = numbers.map(n => nextSerials(pattern, 2024 + (n % 4), [], n + 1).at(-1) ?? '')
        const give = serialGiver(pattern, used)
        for (const year of asked) {
          const [one = ''] = nextSerials(pattern, year, used, 1)
          expect(give(year)).toBe(one)
          used.push(one)
        }
      }),
    )
  })

  it('are never given twice, whatever is in use (law)', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 3000 })), fc.integer({ min: 1, max: 30 }), (numbers, count) => {
        const used = numbers.map(n => `26-${String(n).padStart(3, '0')}`)
        const fresh = nextSerials('YY-NNN', 2026, used, count)
        expect(new Set([...used, ...fresh]).size).toBe(new Set(used).size + count)
      }),
    )
  })
})
