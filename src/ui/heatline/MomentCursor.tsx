import { type Moment, momentAt, momentIn, planLengthMin } from '../../core/trace/cursor-time'
import type { TracePoint } from '../../core/trace/run-trace'
import type { Stretch } from '../../core/trace/timeline'
import { momentWords } from '../../words/heatline'
import { useSay } from '../Units'
import { heatColour } from './colour'
import { widthOf } from './place-labels'
import type { HeatScale } from './scale'

interface Props {
  readonly scale: HeatScale
  readonly stretches: readonly Stretch[]
  readonly trace: readonly TracePoint[]
  /** The moment shown: the chosen one, or the one under the pointer. */
  readonly moment: Moment
  readonly chosen: boolean
  readonly left: number
  readonly right: number
  readonly bottom: number
  readonly onMoment: (moment: Moment | null) => void
}

/** Steps of the arrow keys, and with Page up and down, min. */
const STEP_MIN = 1
const PAGE_MIN = 15
const PADDING = 8

/** A line through the plan at one moment, with what happens then; by itself a slider, for the keyboard. */
export function MomentCursor({ scale, stretches, trace, moment, chosen, left, right, bottom, onMoment }: Props) {
  const say = useSay()
  const stretch = stretches[moment.index]
  const timed = stretch !== undefined && stretch.endMin > stretch.startMin
  const x = scale.x(moment.index, moment.minute)
  const y = scale.y(moment.c)
  const words = momentWords(moment, timed, say)
  const width = widthOf(words) + 2 * PADDING
  const boxX = Math.min(right - width, Math.max(left, x - width / 2))
  const length = planLengthMin(stretches)
  const step = (by: number) => onMoment(momentAt(stretches, moment.minute + by, trace) ?? null)
  return (
    <g
      role="slider"
      tabIndex={chosen ? 0 : -1}
      aria-label="Moment of the plan"
      aria-valuemin={0}
      aria-valuemax={Math.round(length)}
      aria-valuenow={Math.round(moment.minute)}
      aria-valuetext={words}
      onKeyDown={event => {
        const by = {
          ArrowLeft: -STEP_MIN,
          ArrowRight: STEP_MIN,
          PageDown: -PAGE_MIN,
          PageUp: PAGE_MIN,
          Home: -length,
          End: length,
        }[event.key]
        if (event.key === 'Escape') onMoment(null)
        else if (by === undefined) return
        else step(by)
        event.preventDefault()
        event.stopPropagation()
      }}
      className="pointer-events-none outline-none"
    >
      <line x1={x} x2={x} y1={20} y2={bottom} stroke="#f3e9da" strokeDasharray={chosen ? undefined : '2 3'} />
      <circle cx={x} cy={y} r={5.5} fill={heatColour(moment.c, moment.phase)} stroke="#f3e9da" strokeWidth={2} />
      <rect x={boxX} y={0} width={width} height={21} rx={3} fill="#1c1713" stroke={chosen ? '#ff8a2a' : '#6b5d50'} />
      <text x={boxX + PADDING} y={15} fontSize={13} fill="#f3e9da">
        {words}
      </text>
    </g>
  )
}

/** The moment at a place along the line, px; undefined outside the plan. */
export function momentAtX(
  scale: HeatScale,
  stretches: readonly Stretch[],
  trace: readonly TracePoint[],
  x: number,
): Moment | undefined {
  const index = scale.placed.findIndex(p => x >= p.x0 && x < p.x1)
  const placed = scale.placed[index]
  if (!placed) return undefined
  const share = (x - placed.x0) / (placed.x1 - placed.x0)
  const { startMin, endMin } = placed.stretch
  return momentIn(stretches, index, startMin + share * (endMin - startMin), trace)
}
