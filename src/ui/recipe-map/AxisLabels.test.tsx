import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import type { System } from '../../core/units/quantity'
import { AxisLabels } from './AxisLabels'
import { axesOf } from './axes'

const LEFT = 56

/** Where the figures under a map of a width stand, px from its left edge. */
function figuresAt(width: number, system: System): number[] {
  const box = { left: LEFT, right: LEFT + width, top: 0, bottom: 300 }
  const map = { austenitizeC: [880, 1040], temperC: [100, 600] } as unknown as Parameters<typeof axesOf>[0]
  const text = renderToStaticMarkup(<AxisLabels axes={axesOf(map, box)} system={system} />)
  return [...text.matchAll(/<text x="([\d.]+)" y="317">\d/g)].map(([, x]) => Number(x) - LEFT)
}

describe('the figures under a recipe map', () => {
  it.each(['metric', 'imperial'] as const)(
    'never stand in the name of their axis, on a phone as little as on a screen (%s)',
    system => {
      for (const width of [270, 330, 420, 600, 900]) {
        const figures = figuresAt(width, system)
        expect(figures.length, `${width} px`).toBeGreaterThanOrEqual(2)
        // The name reaches 36 px into the map, a figure of four places 15 px to each side.
        expect(Math.min(...figures), `${width} px`).toBeGreaterThanOrEqual(36 + 15)
      }
    },
  )
})
