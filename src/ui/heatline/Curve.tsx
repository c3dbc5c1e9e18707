import { heatColour } from './colour'
import { curveSegments, type HeatScale } from './scale'

/** The plan, in the colour of the metal at each point. */
export function Curve({ scale, strokeWidth }: { scale: HeatScale; strokeWidth: number }) {
  return (
    <g strokeWidth={strokeWidth} strokeLinecap="round" fill="none">
      {curveSegments(scale).map(({ key, c, phase, ...line }) => (
        <line key={key} {...line} stroke={heatColour(c, phase)} />
      ))}
    </g>
  )
}
