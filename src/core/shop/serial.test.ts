import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  isSerialPattern,
  leftInBlocks,
  nextBlock,
  nextSerials,
  serialGiver,
  serialPrefix,
  USUAL_SERIALS,
} from './serial'

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

describe('serials of a screen of a shared workshop', () => {
  it('are of its own block, go on after what it gave, and then after every number that is anybody’s', () => {
    const block = nextBlock('YY-NNN', 2026, ['26-013'], 0)
    expect(block).toMatchObject({ prefix: '26-', from: 14 })
    const used = ['26-013', '26-014', '26-200']
    expect(nextSerials('YY-NNN', 2026, used, 2, [block])).toEqual(['26-015', '26-016'])
    const few = { ...block, to: 15 }
    expect(nextSerials('YY-NNN', 2026, used, 3, [few])).toEqual(['26-015', '26-201', '26-202'])
    expect(leftInBlocks('YY-NNN', 2026, used, [few])).toEqual([15])
    expect(leftInBlocks('YY-NNN', 2027, used, [few]), 'another year').toEqual([])
  })

  it('are never those of another, however many screens ask and give in whatever order (law)', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(3), fc.integer({ min: 1, max: 20 })), { maxLength: 30 }), tasks => {
        let givenTo = 0
        const blocks = new Map<number, ReturnType<typeof nextBlock>>()
        const used = new Map<number, string[]>()
        for (const [screen, count] of tasks) {
          // Out of reach it knows of its own alone.
          const own = used.get(screen) ?? []
          const block = blocks.get(screen)
          if (!block || leftInBlocks('YY-NNN', 2026, own, [block]).length < count) {
            const next = nextBlock('YY-NNN', 2026, [...used.values()].flat(), givenTo)
            givenTo = next.to
            blocks.set(screen, next)
          }
          used.set(screen, [
            ...own,
            ...nextSerials('YY-NNN', 2026, own, count, [blocks.get(screen) ?? nextBlock('N', 0, [], 0)]),
          ])
        }
        const all = [...used.values()].flat()
        expect(new Set(all).size).toBe(all.length)
      }),
    )
  })
})
