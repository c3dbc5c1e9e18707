import { heatColour } from '../../heatline/colour'

interface Props {
  readonly curve: readonly (readonly [min: number, c: number])[]
  readonly x: (min: number) => number
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** Width of a slice, in units of the drawing. */
const SLICE = 3
const HOTTEST_C = 1150
const WARM_C = 450

/** An oven’s temperature through the day, filled with the colour of its heat. */
export function OvenCurve({ curve, x, left, right, top, bottom }: Props) {
  const points = curve.map(([min, c]) => [x(min), c] as const)
  const atX = (at: number): number | null => {
    const i = points.findIndex(([px]) => px >= at)
    const [a, b] = [points[i - 1], points[i]]
    if (!a || !b) return null
    return b[0] === a[0] ? b[1] : a[1] + ((b[1] - a[1]) * (at - a[0])) / (b[0] - a[0])
  }
  const hottest = Math.max(...curve.map(([, c]) => c)) > WARM_C ? HOTTEST_C : WARM_C
  const count = Math.max(0, Math.ceil((right - left) / SLICE))
  const isTemper = hottest === WARM_C
  return (
    <g>
      {Array.from({ length: count }, (_, i) => left + i * SLICE).map(at => {
        const c = atX(at)
        if (c === null || c < 40) return null
        const height = Math.max(1, ((bottom - top) * c) / hottest)
        return (
          <rect
            key={at}
            x={at}
            y={bottom - height}
            width={SLICE + 0.5}
            height={height}
            fill={heatColour(c, isTemper ? 'temper' : 'soak')}
            opacity={isTemper ? 0.55 : 0.9}
          />
        )
      })}
    </g>
  )
}
