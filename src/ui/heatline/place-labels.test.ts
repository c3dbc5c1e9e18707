import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planTimeline } from '../../core/trace/timeline'
import { chamberOfSize } from '../../testing/chamber'
import { type Label, placeLabels } from './place-labels'
import { curveSegments, heatScale } from './scale'

const stretches = planTimeline({
  route: {
    austenitizeC: 1060,
    soakMin: 15,
    quenchedToC: 25,
    cold: { toC: -75, holdMin: 60, delayMin: 30 },
    tempers: [
      { atC: 200, holdMin: 120 },
      { atC: 200, holdMin: 120 },
    ],
  },
  equalise: [],
  entryC: 800,
  oven: chamberOfSize('medium'),
  steelKg: 1,
  thicknessMm: 3,
})
const box = { left: 16, right: 1192, top: 26, bottom: 150 }
const scale = heatScale(stretches, box)
const label = (key: string, middle: number, text: string, matters = 1): Label => ({
  key,
  middle,
  text,
  fill: '',
  matters,
})

/** Ends of the curve's pieces. */
const curvePoints = curveSegments(scale).flatMap(s => [[s.x1, s.y1] as const, [s.x2, s.y2] as const])

describe('labels of the Heat Line', () => {
  it('never touch each other or the curve, wherever they are wanted', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            middle: fc.double({ min: 0, max: 1200, noNaN: true }),
            text: fc.string({ minLength: 1, maxLength: 30 }),
          }),
          {
            maxLength: 12,
          },
        ),
        wanted => {
          const placed = placeLabels(
            wanted.map(({ middle, text }, i) => label(`${i}`, middle, text)),
            scale,
            box.right,
          )
          for (const [i, a] of placed.entries()) {
            expect(a.x + a.width).toBeLessThanOrEqual(Math.max(box.right, a.width + 5) + 1e-9)
            for (const b of placed.slice(i + 1)) {
              const apart = a.x + a.width < b.x || b.x + b.width < a.x || Math.abs(a.y - b.y) >= 15
              expect(apart, `${a.text} and ${b.text}`).toBe(true)
            }
            for (const [x, y] of curvePoints)
              if (x >= a.x && x <= a.x + a.width) expect(y, `${a.text} at ${x}`).toBeGreaterThan(a.y)
          }
        },
      ),
    )
  })

  it('of two that meet the one that matters keeps its place, and the other is lifted', () => {
    const placed = placeLabels(
      [label('a', 900, 'a long text here', 1), label('b', 905, 'another long text', 2)],
      scale,
      box.right,
    )
    const at = (key: string) => placed.find(p => p.key === key)
    expect(at('a')?.y).toBe((at('b')?.y ?? 0) - 15)
  })
})
