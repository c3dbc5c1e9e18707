import type { Contour } from '../../core/steel/contours'
import type { MapAxes } from './axes'
import { linesOf } from './contours'

/** Room its name takes, px. */
const NAME_WIDTH = 160

export interface AusteniteLimit {
  readonly lines: ReturnType<typeof linesOf>
  /** Where its name begins or ends, at the line's lower end on the side that has room; null without a line. */
  readonly name: { readonly x: number; readonly y: number; readonly anchor: 'start' | 'end' } | null
  /** Spots the name covers, that other names keep clear of. */
  readonly taken: readonly (readonly [number, number])[]
}

/** The line beyond which retained austenite gets too much, and where its name stands. */
export function austeniteLimit(austenite: Contour, { box }: MapAxes): AusteniteLimit {
  const lines = linesOf(austenite, box)
  const [line] = lines
  if (!line) return { lines, name: null, taken: [] }
  const low = line.reduce((a, b) => (b[1] > a[1] ? b : a))
  const y = Math.min(box.bottom - 10, low[1] - 8)
  const right = box.right - low[0] > NAME_WIDTH
  const x = low[0] + (right ? 8 : -8)
  const along = right ? [0, 0.5, 1] : [0, -0.5, -1]
  return {
    lines,
    name: { x, y, anchor: right ? 'start' : 'end' },
    taken: along.map(part => [x + part * NAME_WIDTH, y] as const),
  }
}
