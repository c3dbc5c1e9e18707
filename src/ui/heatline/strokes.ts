import { hex, type Rgb } from './colour'

/** A straight piece of a curve, px, in its colour. */
export interface Piece {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
  readonly rgb: Rgb
}

export interface Stroke {
  readonly d: string
  readonly colour: string
}

/** Colours of a thin line that differ by no more in any channel, of 255, the eye takes for one. */
const ALIKE = 8

/** Pieces in order as few strokes: those that follow each other in colours alike are one, and none crosses a gap. */
export function strokesOf(pieces: readonly Piece[]): readonly Stroke[] {
  const strokes: { d: string; rgb: Rgb }[] = []
  let end = ''
  for (const { x1, y1, x2, y2, rgb } of pieces) {
    const [from, to] = [at(x1, y1), at(x2, y2)]
    const last = strokes.at(-1)
    if (last?.rgb.every((part, i) => Math.abs(part - (rgb[i] as number)) <= ALIKE))
      last.d += `${from === end ? '' : `M${from}`}L${to}`
    else strokes.push({ d: `M${from}L${to}`, rgb })
    end = to
  }
  return strokes.map(({ d, rgb }) => ({ d, colour: hex(rgb) }))
}

/** A tenth of a pixel is not seen. */
const at = (x: number, y: number) => `${x.toFixed(1)} ${y.toFixed(1)}`
