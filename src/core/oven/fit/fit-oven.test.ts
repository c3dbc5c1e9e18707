import { describe, expect, it } from 'vitest'
import { OVEN_BUILDS } from '../../../data/ovens'
import { refusalOf } from '../../../testing/tray'
import { createRandom } from '../../numeric/random'
import type { LogPoint } from '../log-points'
import { type DetailedOven, OvenModel } from '../oven-model'
import { ovenPreset } from '../presets'
import { withFactors } from './factors'
import { fitOven } from './fit-oven'

const { powerW, chamberMm } = ovenPreset('medium')
const medium: DetailedOven = { powerW, chamberMm, build: OVEN_BUILDS.medium }
const TRUE = { wallK: 1.15, wallC: 0.9, mass: 1.3, leak: 1, power: 1 }

/** A log of a known oven with a logger's noise: full power to a temperature, held, then off. Stepped finer than the fit does. */
function logOf(oven: DetailedOven, toC: number, holdMin: number, coolMin: number, noiseK: number): LogPoint[] {
  const model = new OvenModel(oven)
  const random = createRandom(11)
  const points: LogPoint[] = []
  let heldS = 0
  let offS = 0
  for (let s = 0; offS < coolMin * 60 + 1 && s < 12 * 3600; s += 4) {
    if (s % 20 === 0) points.push([s / 60, model.indicatedC + random.normal(0, noiseK)])
    const reached = heldS > 0 || model.indicatedC >= toC
    if (reached && heldS < holdMin * 60) heldS += 4
    else if (reached) offS += 4
    const share = !reached
      ? 1
      : heldS < holdMin * 60
        ? Math.min(1, Math.max(0, 0.6 + (toC - model.indicatedC) / 12))
        : 0
    model.step(share, false, 4)
  }
  return points
}

describe('what a log teaches about an oven', () => {
  it('finds the factors a noisy log with a cooling leg was made with', { timeout: 60_000 }, () => {
    const result = fitOven(medium, logOf(withFactors(medium, TRUE), 1060, 20, 150, 1.5))
    if (!result.ok) throw new Error(refusalOf(result))
    const { factors, residualK, residualBeforeK } = result.value
    expect(residualK).toBeLessThan(3)
    expect(residualBeforeK).toBeGreaterThan(3 * residualK)
    const value = (name: string) => factors.find(f => f.factor === name)?.value ?? 0
    // What a ramp sees of a wall is √(kc); the design of the fit asks for 2 to 3 %.
    expect(Math.abs(Math.sqrt(value('wallK') * value('wallC')) / Math.sqrt(1.15 * 0.9) - 1)).toBeLessThan(0.04)
    expect(factors.find(f => f.factor === 'wallK')?.identified).toBe(true)
    for (const { factor, value, sd } of factors)
      expect(Math.abs(Math.log(value / TRUE[factor])), factor).toBeLessThan(3 * sd + 0.03)
  })

  // Prototype of the model: conduction against leak only with a cooling leg.
  it('says that leak and wall cannot be told apart without a cooling leg', { timeout: 60_000 }, () => {
    const result = fitOven(medium, logOf(withFactors(medium, TRUE), 1060, 10, 0, 1.5))
    if (!result.ok) throw new Error(refusalOf(result))
    expect(result.value.factors.find(f => f.factor === 'leak')?.identified).toBe(false)
    expect(result.value.notes.map(note => note.code)).toContain('no-cooling-leg')
  })

  it('learns nothing from a climb held to a rate, and says so', () => {
    const straight: LogPoint[] = Array.from({ length: 240 }, (_, i) => [i / 2, Math.min(1050, 20 + i * 4.5)])
    expect(fitOven(medium, straight)).toMatchObject({ ok: false, problems: [{ code: 'log-held-to-a-rate' }] })
    expect(fitOven(medium, straight.slice(0, 8))).toMatchObject({ ok: false, problems: [{ code: 'log-too-short' }] })
  })

  it('reports how far it is', { timeout: 60_000 }, () => {
    const seen: number[] = []
    fitOven(medium, logOf(medium, 800, 5, 0, 1), share => seen.push(share))
    expect(seen.length).toBeGreaterThan(3)
    expect(seen.every((share, i) => share >= (seen[i - 1] ?? 0) && share <= 1)).toBe(true)
  })
})
