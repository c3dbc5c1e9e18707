import { useRef } from 'react'
import { acrossOf, type DayBoardProps, LABELS, LANE_HEIGHT, TOP, WIDTH } from './board'
import { LaneBlocks } from './LaneBlocks'
import { OvenCurve } from './OvenCurve'

const GAP = 8
const WAIT_HEIGHT = 20

/** A day as lanes: ovens in the colour of their heat, plates, cold, hands; what waits, and now. */
export function DayBoard(props: DayBoardProps) {
  const svg = useRef<SVGSVGElement>(null)
  const { x } = acrossOf(props)
  const [left, right] = [x(props.fromMin), x(props.toMin)]
  let at = TOP
  const placed = props.lanes.map(lane => {
    const top = at
    at += LANE_HEIGHT[lane.kind] + GAP
    return { lane, top, height: LANE_HEIGHT[lane.kind] }
  })
  const waitsTop = at
  const height = at + props.waits.length * WAIT_HEIGHT + 4
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing has no fieldset.
    <svg
      ref={svg}
      data-day-board
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full min-w-[1000px] touch-pan-x select-none"
      role="group"
      aria-label="The day’s plan: a lane for each oven, the plates, the cold and your hands. The same is in the list below."
    >
      {props.away.map(([from, to]) => (
        <rect key={from} x={x(from)} y={TOP} width={x(to) - x(from)} height={waitsTop - TOP} fill="#151009" />
      ))}
      {props.ticks.map(({ min, text }) => (
        <g key={min}>
          <line x1={x(min)} x2={x(min)} y1={TOP - 4} y2={waitsTop} stroke="#3d342c" />
          <text x={x(min)} y={17} fontSize={13} textAnchor="middle" fill="#b3a696">
            {text}
          </text>
        </g>
      ))}
      {placed.map(({ lane, top, height: tall }) => (
        <g key={`${lane.kind} ${lane.name}`}>
          <line x1={0} x2={WIDTH} y1={top + tall + GAP / 2} y2={top + tall + GAP / 2} stroke="#3d342c" />
          <text x={14} y={top + (tall > 40 ? 22 : 17)} fontSize={13} fontWeight={620} fill="#f3e9da">
            {lane.name}
          </text>
          {lane.note !== '' && (
            <text x={14} y={top + (tall > 40 ? 39 : 31)} fontSize={13} fill="#b3a696">
              {lane.note}
            </text>
          )}
          {lane.curve.length > 0 && (
            <OvenCurve curve={lane.curve} x={x} left={left} right={right} top={top} bottom={top + tall} />
          )}
          <LaneBlocks lane={lane} board={props} svg={svg} top={top} height={tall} />
        </g>
      ))}
      {props.waits.map((wait, i) => {
        const y = waitsTop + 11 + i * WAIT_HEIGHT
        const [from, to] = [Math.max(left, x(wait.fromMin)), Math.min(right, x(wait.toMin))]
        const room = right - to > wait.text.length * 6.4
        return (
          <g key={`${wait.fromMin} ${wait.text}`}>
            <line x1={from} x2={to} y1={y} y2={y} stroke="#ff8a2a" strokeWidth={2} strokeDasharray="2 4" />
            <text
              x={room ? to + 8 : from - 8}
              y={y + 4}
              fontSize={13}
              textAnchor={room ? 'start' : 'end'}
              fill="#ff8a2a"
            >
              {wait.text}
            </text>
          </g>
        )
      })}
      {props.now && <NowLine x={x(props.now.min)} text={props.now.text} bottom={waitsTop} />}
      <line x1={LABELS - 8} x2={LABELS - 8} y1={TOP} y2={waitsTop} stroke="#3d342c" />
    </svg>
  )
}

const NowLine = ({ x, text, bottom }: { x: number; text: string; bottom: number }) => (
  <g>
    <line x1={x} x2={x} y1={TOP - 6} y2={bottom} stroke="#ff8a2a" strokeWidth={1.5} />
    <rect x={x - 25} y={2} width={50} height={21} rx={2} fill="#ff8a2a" />
    <text x={x} y={17} fontSize={13} fontWeight={650} textAnchor="middle" fill="#1c1713">
      {text}
    </text>
  </g>
)
