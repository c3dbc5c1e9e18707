import { describe, expect, it } from 'vitest'
import { createHardnessTester, readHardness, USUAL_TESTER } from './hardness-tester'

const take = (tester: ReturnType<typeof createHardnessTester>, n: number) =>
  Array.from({ length: n }, () => readHardness(tester.handle('READ?')) ?? Number.NaN)
const meanOf = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length

describe('the simulated tester', () => {
  it('reads what is under it, with its bias and its dial', () => {
    const tester = createHardnessTester({ ...USUAL_TESTER, biasHrc: 0.5, driftPer100: 0 })
    tester.handle('TRUE 61')
    const values = take(tester, 200)
    expect(meanOf(values)).toBeCloseTo(61.5, 1)
    expect(values.every(v => Number.isInteger(v * 2))).toBe(true)
  })

  it('drifts, and a digital one shows tenths', () => {
    const tester = createHardnessTester({ ...USUAL_TESTER, driftPer100: 1, noiseSdHrc: 0.05, dial: false })
    tester.handle('TRUE 60')
    const values = take(tester, 200)
    expect(meanOf(values.slice(150)) - meanOf(values.slice(0, 50))).toBeCloseTo(1.5, 1)
    expect(values.some(v => !Number.isInteger(v * 2))).toBe(true)
  })

  it('refuses in words what it cannot do', () => {
    const tester = createHardnessTester()
    expect(tester.handle('MAKE TEA')).toMatch(/^ERR/)
    expect(tester.handle('TRUE 90')).toMatch(/^ERR/)
    tester.handle('TRUE 5')
    expect(tester.handle('READ?')).toMatch(/outside the C scale/)
    expect(readHardness('ERR x')).toBeNull()
  })
})
