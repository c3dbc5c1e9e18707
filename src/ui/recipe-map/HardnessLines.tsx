import { useMemo } from 'react'
import type { Contour } from '../../core/steel/contours'
import { labelSpot, linePath, linesOf, type PlotBox } from './contours'

interface Props {
  readonly contours: readonly Contour[]
  readonly box: PlotBox
  /** The two ends of the target, HRC. */
  readonly least: number
  readonly most: number
  /** Where points and other names stand, so that no name is written over them. */
  readonly taken: readonly (readonly [number, number])[]
}

/** Whole degrees that are drawn below the hardest. */
const WHOLES = 9

/** Lines of equal hardness, named on the line; the two ends of the target are bold. */
export function HardnessLines({ contours, box, least, most, taken }: Props) {
  const lines = useMemo(() => {
    const hardest = Math.floor(contours.at(-1)?.level ?? 0)
    const isTarget = (level: number) => level === least || level === most
    const isWhole = (level: number) => Number.isInteger(level) && level > hardest - WHOLES
    return contours
      .filter(({ level }) => isTarget(level) || isWhole(level))
      .map(contour => {
        const own = linesOf(contour, box)
        return { level: contour.level, own, d: own.map(linePath).join(''), isTarget: isTarget(contour.level) }
      })
      .sort((a, b) => Number(b.isTarget) - Number(a.isTarget) || b.level - a.level)
  }, [contours, box, least, most])
  const key = taken.map(([x, y]) => `${Math.round(x / 40)},${Math.round(y / 40)}`).join(' ')
  // Names move out of a point's way by steps, not at every pixel of a drag.
  // biome-ignore lint/correctness/useExhaustiveDependencies: key stands for taken
  const names = useMemo(() => {
    const placed: (readonly [number, number])[] = [...taken]
    return lines.flatMap(({ level, own, isTarget }) => {
      const spot = labelSpot(own, box, placed)
      if (!spot) return []
      placed.push([spot.x, spot.y])
      return [{ level, spot, isTarget }]
    })
  }, [lines, box, key])
  return (
    <g fill="none">
      {lines.map(({ level, d, isTarget }) => (
        <path
          key={level}
          d={d}
          style={{ stroke: 'var(--ink)' }}
          strokeWidth={isTarget ? 2.5 : 0.8}
          opacity={isTarget ? 1 : 0.45}
        />
      ))}
      {names.map(({ level, spot, isTarget }) => (
        <text
          key={level}
          transform={`translate(${spot.x} ${spot.y}) rotate(${spot.angle})`}
          dy={4}
          textAnchor="middle"
          fontSize={13}
          fontWeight={isTarget ? 650 : 450}
          style={{ fill: 'var(--ink)', stroke: 'var(--map-middle)', strokeWidth: 4, paintOrder: 'stroke' }}
        >
          {level}
        </text>
      ))}
    </g>
  )
}
