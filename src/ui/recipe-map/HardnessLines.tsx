import { useMemo } from 'react'
import type { TargetHrc } from '../../core/rockwell/target'
import { type Field, labelSpot, linePath, linesAt, type PlotBox } from './contours'

interface Props {
  readonly field: Field
  readonly box: PlotBox
  readonly target: TargetHrc
  /** Where points and other names stand, so that no name is written over them. */
  readonly taken: readonly (readonly [number, number])[]
}

/** Lines of equal hardness, named on the line; the two ends of the target are bold. */
export function HardnessLines({ field, box, target, taken }: Props) {
  const key = taken.map(([x, y]) => `${Math.round(x / 40)},${Math.round(y / 40)}`).join(' ')
  // Names move out of a point's way by steps, not at every pixel of a drag.
  // biome-ignore lint/correctness/useExhaustiveDependencies: key stands for taken
  const lines = useMemo(() => {
    const placed: (readonly [number, number])[] = [...taken]
    const hardest = Math.floor(Math.max(...field.values))
    const wholes = Array.from({ length: 9 }, (_, i) => hardest - i)
    const levels = [target.min, target.max, ...wholes.filter(l => l !== target.min && l !== target.max)]
    return levels.map(level => {
      const own = linesAt(field, level, box)
      const spot = labelSpot(own, box, placed)
      if (spot) placed.push([spot.x, spot.y])
      return { level, d: own.map(linePath).join(''), spot, isTarget: level === target.min || level === target.max }
    })
  }, [field, box, target, key])
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
      {lines.map(
        ({ level, spot, isTarget }) =>
          spot && (
            <text
              key={level}
              transform={`translate(${spot.x} ${spot.y}) rotate(${spot.angle})`}
              dy={4}
              textAnchor="middle"
              fontSize={12}
              fontWeight={isTarget ? 650 : 450}
              style={{ fill: 'var(--ink)', stroke: 'var(--map-middle)', strokeWidth: 4, paintOrder: 'stroke' }}
            >
              {level}
            </text>
          ),
      )}
    </g>
  )
}
