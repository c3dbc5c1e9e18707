import { describe, expect, it } from 'vitest'
import { planTimeline } from '../../core/trace/timeline'
import { chamberOfSize } from '../../testing/chamber'
import { contrast, figureColour, heatColour, heatRgb, planckXyz } from './colour'
import { curveSegments, heatScale } from './scale'
import { strokesOf } from './strokes'

const route = {
  austenitizeC: 1065.6,
  soakMin: 15,
  quenchedToC: 25,
  cold: { toC: -75, holdMin: 60, delayMin: 30 },
  tempers: [{ atC: 200, holdMin: 120 }],
}

const rgb = (hex: string) => [1, 3, 5].map(i => Number.parseInt(hex.slice(i, i + 2), 16)) as [number, number, number]

describe('the colour of heat', () => {
  // CIE 15: chromaticity of illuminant A (Planckian at 2856 K) is x 0.4476, y 0.4074.
  it('has the chromaticity of a black body', () => {
    const [x, y, z] = planckXyz(2856 - 273.15)
    expect(x / (x + y + z)).toBeCloseTo(0.4476, 2)
    expect(y / (x + y + z)).toBeCloseTo(0.4074, 2)
  })

  // Names of glow by temperature: common practice, no published source.
  it.each([
    ['dull red', 620, '#6d1408'],
    ['cherry', 750, '#b32208'],
    ['orange red', 870, '#e24a06'],
    ['orange', 960, '#f9790c'],
    ['yellow orange', 1066, '#ffb23a'],
    ['yellow', 1150, '#ffd777'],
  ])('%s at %i °C is near %s', (_, c, stated) => {
    const got = rgb(heatColour(c, 'soak'))
    for (const [i, part] of rgb(stated).entries()) expect(Math.abs((got[i] as number) - part)).toBeLessThan(26)
  })

  it('shows oxide tints in a temper alone, and ice below zero', () => {
    expect(heatColour(300, 'temper')).not.toBe(heatColour(300, 'quench'))
    expect(heatColour(300, 'quench')).toBe(heatColour(20, 'room'))
    const [r, , b] = rgb(heatColour(-75, 'cold'))
    expect(b).toBeGreaterThan(r)
  })

  it('can be read on soot as a figure at any heat: WCAG 2.2 AAA, large text', () => {
    for (let c = 20; c <= 1250; c += 10)
      expect(contrast(rgb(figureColour(c)), [0x1c, 0x17, 0x13])).toBeGreaterThanOrEqual(4.5)
    // Black on white is 21 to 1 by definition.
    expect(contrast([0, 0, 0], [255, 255, 255])).toBeCloseTo(21, 6)
  })
})

describe('the scale', () => {
  const stretches = planTimeline({
    route,
    equalise: [],
    entryC: 800,
    oven: chamberOfSize('medium'),
    steelKg: 1,
    thicknessMm: 3,
  })
  const scale = heatScale(stretches, { left: 10, right: 1210, top: 20, bottom: 150 })

  it('fills its box from end to end, time never running back', () => {
    expect(scale.placed[0]?.x0).toBe(10)
    expect(scale.placed[scale.placed.length - 1]?.x1).toBeCloseTo(1210, 6)
    for (const [i, p] of scale.placed.slice(1).entries()) expect(p.x0).toBeCloseTo(scale.placed[i]?.x1 ?? -1, 6)
  })

  it('puts hotter higher, and both ends of the plan inside', () => {
    expect(scale.y(1065.6)).toBeCloseTo(20, 6)
    expect(scale.y(-75)).toBeLessThanOrEqual(150)
    for (let c = -70; c < 1060; c += 10) expect(scale.y(c + 10)).toBeLessThan(scale.y(c))
  })

  it('has room for every station’s name', () => {
    expect(scale.stations).toHaveLength(12)
    for (const [i, s] of scale.stations.slice(1).entries())
      expect(s.x - (scale.stations[i]?.x ?? 0)).toBeGreaterThan(44)
  })
})

describe('a curve in strokes', () => {
  const box = { left: 0, right: 1200, top: 0, bottom: 150 }
  const stretches = planTimeline({
    route,
    equalise: [{ atC: 800, holdMin: 10 }],
    entryC: 800,
    oven: chamberOfSize('medium'),
    steelKg: 1,
    thicknessMm: 3,
  })
  const pieces = curveSegments(heatScale(stretches, box)).map(({ c, phase, ...line }) => ({
    ...line,
    rgb: heatRgb(c, phase),
  }))
  const pointsOf = (d: string) => [...d.matchAll(/[ML](\S+ \S+?)(?=[ML]|$)/g)].map(([, at]) => at)

  it('goes through every point of it, in colours the eye cannot tell from its own, in far fewer shapes', () => {
    const strokes = strokesOf(pieces)
    const left = [...pieces]
    for (const { d, colour } of strokes)
      for (const at of pointsOf(d).slice(1)) {
        const piece = left.shift()
        expect(at).toBe(`${piece?.x2.toFixed(1)} ${piece?.y2.toFixed(1)}`)
        for (const [i, part] of rgb(colour).entries())
          expect(Math.abs(part - (piece?.rgb[i] ?? 999))).toBeLessThanOrEqual(8)
      }
    expect(left).toEqual([])
    expect(strokes.length).toBeLessThan(pieces.length / 2)
  })

  it('leaves a gap where nothing is', () => {
    const grey = [140, 133, 124] as const
    const [stroke, ...more] = strokesOf([
      { x1: 0, y1: 9, x2: 5, y2: 9, rgb: grey },
      { x1: 20, y1: 9, x2: 25, y2: 9, rgb: grey },
    ])
    expect(stroke?.d).toBe('M0.0 9.0L5.0 9.0M20.0 9.0L25.0 9.0')
    expect(more).toEqual([])
  })
})
