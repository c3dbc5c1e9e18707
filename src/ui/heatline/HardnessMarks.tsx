import { temperOf } from '../../core/batch/hardness-stages'
import type { StageHardness } from '../../core/hardness/hardness-trace'
import type { Stage } from '../../core/shop/route'
import { hardnessMarkWords } from '../../words/heatline'
import type { HeatScale } from './scale'

interface Props {
  readonly scale: HeatScale
  readonly hardness: readonly StageHardness[]
}

/** Of a hardness with its unit in bold type, and the air between it and the line, px. */
const WIDTH = 62
const AIR = 4

/** Hardness along the line: after the quench, the cold and each temper; what was measured in bold, what is predicted in plain type. */
export function HardnessMarks({ scale, hardness }: Props) {
  const ends = (phase: string) =>
    scale.placed.flatMap((p, i) => (p.stretch.phase === phase ? [{ i, endMin: p.stretch.endMin }] : []))
  const inspect = scale.placed.findIndex(p => p.stretch.station === 'inspect')
  const cools = ends('cool')
  const [warm] = ends('warm')
  const xOf = (stage: Stage): { x: number; anchor: 'start' | 'middle' } | null => {
    if (stage === 'as-quenched') {
      const stretch = scale.placed[inspect]?.stretch
      if (!stretch) return null
      // Where the cold follows, the line falls through what stands too near.
      const middle = scale.x(inspect, (stretch.startMin + stretch.endMin) / 2)
      return { x: Math.min(middle, scale.x(inspect, stretch.endMin) - WIDTH / 2 - AIR), anchor: 'middle' }
    }
    if (stage === 'after-cold') return warm ? { x: scale.x(warm.i, warm.endMin) + 3, anchor: 'start' } : null
    const cool = cools[(temperOf(stage) ?? 1) - 1]
    return cool ? { x: scale.x(cool.i, cool.endMin), anchor: 'middle' } : null
  }
  const y = scale.y(20) + 15
  return (
    <g fontSize={13}>
      {hardness.map(row => {
        const place = xOf(row.stage)
        if (!place) return null
        return (
          <text key={row.stage} x={place.x} y={y} textAnchor={place.anchor} fill="#b9aa98">
            {row.measured === null ? (
              `${row.expected.toFixed(1)} HRC`
            ) : (
              <tspan fontWeight={650} fill="#f3e9da">
                {row.measured.toFixed(1)} HRC
              </tspan>
            )}
            <title>{hardnessMarkWords(row)}</title>
          </text>
        )
      })}
    </g>
  )
}
