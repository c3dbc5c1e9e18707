import { heatRgb } from './colour'
import { curveSegments, type HeatScale } from './scale'
import { type Piece, strokesOf } from './strokes'

/** The plan, in the colour of the metal at each point. */
export const Curve = ({ scale, strokeWidth }: { scale: HeatScale; strokeWidth: number }) => (
  <Strokes
    pieces={curveSegments(scale).map(({ c, phase, ...line }) => ({ ...line, rgb: heatRgb(c, phase) }))}
    strokeWidth={strokeWidth}
  />
)

/** Pieces of a curve, each in its colour. */
export const Strokes = ({ pieces, strokeWidth }: { pieces: readonly Piece[]; strokeWidth: number }) => (
  <g strokeWidth={strokeWidth} strokeLinecap="round" strokeLinejoin="round" fill="none">
    {strokesOf(pieces).map(({ d, colour }, i) => (
      <path key={i} d={d} stroke={colour} />
    ))}
  </g>
)
