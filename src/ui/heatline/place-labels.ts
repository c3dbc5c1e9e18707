import type { HeatScale } from './scale'

/** A text on the Heat Line: over the curve about a middle, or ending beside a point of it, px. */
export type Label = {
  readonly key: string
  readonly text: string
  readonly fill: string
  /** Of two that meet, the one that matters less gives way. */
  readonly matters: number
} & ({ readonly middle: number } | { readonly beside: { readonly x: number; readonly y: number } })

/** Where a text stands: its left end and its foot, px. */
export interface PlacedLabel {
  readonly key: string
  readonly text: string
  readonly fill: string
  readonly x: number
  readonly y: number
  readonly width: number
}

/** Height of a line of the labels' type, px. */
const LINE = 15
/** Air between a text and the curve or another text, px. */
const GAP = 5
/** A text that finds no place within so many lines is left out: the moment under the pointer still tells it. */
const MOST_LINES = 4

/** Mean width of a letter at the labels' 13 px, px: wide enough for any text of digits and small letters. */
const LETTER = 6.2
export const widthOf = (text: string): number => text.length * LETTER

/**
 * Texts that touch neither the curve nor each other, px, all within `right`: what matters most first, each above whatever of the
 * curve passes beneath it, and lifted a line at a time past those that stand already.
 */
export function placeLabels(labels: readonly Label[], scale: HeatScale, right: number): PlacedLabel[] {
  const placed: PlacedLabel[] = []
  for (const label of [...labels].sort((a, b) => b.matters - a.matters)) {
    const width = widthOf(label.text)
    const wanted = 'middle' in label ? label.middle - width / 2 : label.beside.x - width
    const x = Math.max(GAP, Math.min(right - width, wanted))
    const clear = highestOf(scale, x - GAP, x + width + GAP) - GAP
    const rest = 'beside' in label ? Math.min(label.beside.y, clear) : clear
    for (let line = 0; line < MOST_LINES; line++) {
      const y = rest - line * LINE
      if (y < LINE - 3) break
      if (placed.some(other => meet(other, x, y, width))) continue
      placed.push({ key: label.key, text: label.text, fill: label.fill, x, y, width })
      break
    }
  }
  return placed
}

const meet = (other: PlacedLabel, x: number, y: number, width: number): boolean =>
  x < other.x + other.width + GAP && other.x < x + width + GAP && Math.abs(y - other.y) < LINE

/** The highest the curve comes between two places, px (down is more). */
function highestOf(scale: HeatScale, x0: number, x1: number): number {
  let highest = scale.y(20)
  scale.placed.forEach(({ stretch, x0: from, x1: to }, index) => {
    if (to < x0 || from > x1) return
    stretch.points.forEach(([minute, c], i) => {
      const x = scale.x(index, minute)
      const next = stretch.points[i + 1]
      if (x >= x0 && x <= x1) highest = Math.min(highest, scale.y(c))
      if (!next) return
      const nextX = scale.x(index, next[0])
      for (const edge of [x0, x1])
        if (edge > x && edge < nextX) {
          const at = scale.y(c) + ((edge - x) / (nextX - x)) * (scale.y(next[1]) - scale.y(c))
          highest = Math.min(highest, at)
        }
    })
  })
  return highest
}
