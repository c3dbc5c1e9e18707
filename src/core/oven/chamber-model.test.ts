import { describe, expect, it } from 'vitest'
import { OVEN_BUILDS, OVEN_PRESETS } from '../../data/ovens'
import { heatUpMin } from './chamber'
import { chamberModelOf } from './chamber-model'
import type { DetailedOven } from './oven-model'
import { simulateOven } from './simulate'

const detailed = (name: 'small' | 'medium' | 'large', powerShare = 1): DetailedOven => {
  const preset = OVEN_PRESETS.find(p => p.name === name)
  if (!preset) throw new Error(name)
  return { powerW: preset.powerW * powerShare, chamberMm: preset.chamberMm, build: OVEN_BUILDS[name] }
}
/** Minutes from cold to both marks under the controller, off the walls. */
const wallMinutes = (oven: DetailedOven): number[] =>
  simulateOven({
    oven,
    startC: 20,
    segments: [790, 1065].map(targetC => ({ rateCPerH: null, targetC, holdMin: 0 })),
    load: [],
    doorOpen: [],
  }).segments.map(segment => segment.reachedMin ?? Number.NaN)

describe('an oven as one node', () => {
  it.each(['small', 'medium', 'large'] as const)('%s: takes the walls’ own minutes to 790 and 1065 °C', name => {
    const oven = detailed(name)
    const preset = OVEN_PRESETS.find(p => p.name === name)
    if (!preset) throw new Error(name)
    const node = { ...preset, ...chamberModelOf(oven) }
    const [to790, to1065] = wallMinutes(oven) as [number, number]
    expect(heatUpMin(node, 20, 790, 0) / to790).toBeCloseTo(1, 1)
    expect((heatUpMin(node, 20, 790, 0) + heatUpMin(node, 790, 1065, 0)) / to1065).toBeCloseTo(1, 1)
  })

  it('settles below full heat where the power is too little, and says so by never getting there', () => {
    const node = chamberModelOf(detailed('medium', 0.5))
    expect(node.heating.settlesAtC).toBeLessThan(1065)
    const medium = OVEN_PRESETS.find(p => p.name === 'medium')
    if (!medium) throw new Error('medium')
    expect(heatUpMin({ ...medium, ...node }, 20, 1065, 0)).toBe(Number.POSITIVE_INFINITY)
  })

  it('of more power is there sooner', () => {
    const { heating } = chamberModelOf(detailed('medium', 1.2))
    expect(heating.settlesAtC).toBeGreaterThan(chamberModelOf(detailed('medium')).heating.settlesAtC)
  })
})
