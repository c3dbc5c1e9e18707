import { useId } from 'react'
import { heatColour } from '../../heatline/colour'
import { type CurvePoint, coloured, visible } from './oven-curve'

interface Props {
  readonly curve: readonly CurvePoint[]
  readonly x: (min: number) => number
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

const HOTTEST_C = 1150
const WARM_C = 450

/** An oven’s temperature through the day, filled with the colour of its heat: one shape and one gradient, however long the day. */
export function OvenCurve({ curve, x, left, right, top, bottom }: Props) {
  const id = useId()
  const points = visible(
    curve.map(([min, c]) => [x(min), c] as const),
    left,
    right,
  )
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last || last[0] <= first[0]) return null
  const isTemper = Math.max(...curve.map(([, c]) => c)) <= WARM_C
  const yOf = (c: number) => bottom - ((bottom - top) * c) / (isTemper ? WARM_C : HOTTEST_C)
  const along = points.map(([px, c]) => `L${px.toFixed(1)} ${yOf(c).toFixed(1)}`).join('')
  return (
    <>
      <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={first[0]} x2={last[0]} y1={0} y2={0}>
        {coloured(points).map(([px, c]) => (
          <stop
            key={`${px} ${c}`}
            offset={((px - first[0]) / (last[0] - first[0])).toFixed(4)}
            stopColor={heatColour(c, isTemper ? 'temper' : 'soak')}
          />
        ))}
      </linearGradient>
      <path
        d={`M${first[0]} ${bottom}${along}L${last[0]} ${bottom}Z`}
        fill={`url(#${id})`}
        opacity={isTemper ? 0.55 : 0.9}
      />
    </>
  )
}
