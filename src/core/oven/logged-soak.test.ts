import { describe, expect, it } from 'vitest'
import { findGrade } from '../steel/grades'
import type { LogPoint } from './log-points'
import { type AfterRequest, afterHeat } from './logged-soak'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
/** A climb, the door at 800 °C, on to heat, and out after a while. */
const heat = (topC: number, soakMin: number): LogPoint[] => [
  [0, 20],
  [38, 800],
  [39, 735],
  [46, 800],
  [66, topC],
  [66 + soakMin, topC],
  [66 + soakMin + 1, topC - 60],
]
const base: AfterRequest = {
  points: heat(1066, 20),
  trueC: c => c,
  austenitizeC: 1066,
  thicknessMm: 3,
  view: 1,
  steel: grade.nominal,
  loadedMin: null,
  pulledMin: null,
}

describe('a heat as it was measured', () => {
  it('finds where packets went in and came out', () => {
    const { loadedMin, pulledMin } = afterHeat(base)
    expect(loadedMin).toBe(38)
    expect(pulledMin).toBe(86)
  })

  it('counts from the blade’s arrival, not the oven’s', () => {
    const { arrivedMin, atHeatMin } = afterHeat(base)
    expect(arrivedMin).toBeGreaterThan(64)
    expect(atHeatMin).toBeGreaterThan(19)
    expect(atHeatMin).toBeLessThan(22)
  })

  it('is worth what was planned where it went as planned', () => {
    const { effectiveSoakMin, doseC, soakAtDoseMin } = afterHeat(base)
    expect(effectiveSoakMin).toBeGreaterThan(19)
    expect(effectiveSoakMin).toBeLessThan(25)
    expect(Math.abs((doseC ?? 0) - 1066)).toBeLessThan(2)
    expect(Math.abs(soakAtDoseMin / effectiveSoakMin - 1)).toBeLessThan(0.1)
  })

  it('is worth more when it overshot, less when it fell short, and counts the time above', () => {
    const hot = afterHeat({ ...base, points: heat(1086, 20) })
    expect(hot.overshootK).toBeCloseTo(20, 0)
    expect(hot.aboveMin).toBeGreaterThan(15)
    expect(hot.effectiveSoakMin).toBeGreaterThan(afterHeat(base).effectiveSoakMin * 1.3)
    const short = afterHeat({ ...base, points: heat(1050, 20) })
    expect(short.arrivedMin).toBeNull()
    expect(short.effectiveSoakMin).toBeLessThan(afterHeat(base).effectiveSoakMin)
  })

  it('believes the correction, not the display', () => {
    expect(afterHeat({ ...base, trueC: c => c - 20 }).arrivedMin).toBeNull()
  })
})
