import { pointIn, useDrag } from '../../use-drag'
import { acrossOf, type BoardBlock, type BoardLane, type DayBoardProps, rowsOf } from './board'

interface Props {
  readonly lane: BoardLane
  readonly board: DayBoardProps
  readonly svg: React.RefObject<SVGSVGElement | null>
  readonly top: number
  readonly height: number
}

interface Held {
  readonly batchId: string
  readonly fromX: number
  readonly byMin: number
}

/** A block moves in steps of the plan’s own grid, min. */
const STEP_MIN = 5
const LETTER = 6.6

const FILL: Readonly<Record<BoardLane['kind'], string>> = {
  hot: '#1c1713d9',
  oven: '#e9d49a',
  plates: '#ff8a2a',
  cold: '#8fd0f2',
  hands: '#f3e9da',
}

/** Blocks of a lane; a hardening load is moved by hand or with the arrow keys, and with it its batch. */
export function LaneBlocks({ lane, board, svg, top, height }: Props) {
  const { x, perMin } = acrossOf(board)
  const { onMove } = board
  const { held, grip } = useDrag<Held>({
    move: (now, event) => {
      const at = pointIn(svg.current, event)
      const byMin = at ? Math.round((at.x - now.fromX) / perMin / STEP_MIN) * STEP_MIN : now.byMin
      return byMin === now.byMin ? now : { ...now, byMin }
    },
    drop: now => {
      if (now.byMin !== 0) onMove?.(now.batchId, now.byMin)
    },
  })
  const { rowOf, rows } = rowsOf(lane.blocks)
  return lane.blocks.map((block, i) => {
    const byMin = held && held.batchId === block.batchId ? held.byMin : 0
    const left = Math.max(x(board.fromMin), x(block.fromMin + byMin))
    const right = Math.min(x(board.toMin), x(block.toMin + byMin))
    if (right <= left) return null
    const nextLeft = lane.blocks[i + 1] ? x(lane.blocks[i + 1]?.fromMin ?? 0) : x(board.toMin)
    const place = {
      left,
      width: Math.max(3, right - left),
      top: top + (height / rows) * (rowOf.get(block.id) ?? 0),
      height: height / rows - (rows > 1 ? 2 : 0),
      roomToNext: nextLeft - left,
    }
    const { batchId } = block
    if (batchId === null || onMove === null) return <Block key={block.id} kind={lane.kind} block={block} {...place} />
    return (
      // biome-ignore lint/a11y/useSemanticElements: a block in a drawing can be no button element.
      <g
        key={block.id}
        role="button"
        tabIndex={0}
        aria-label={`${block.title}, ${block.note}. Arrow keys move it by ${STEP_MIN} minutes, Enter says when.`}
        className="cursor-grab"
        onKeyDown={event => {
          const by = { ArrowLeft: -STEP_MIN, ArrowRight: STEP_MIN }[event.key]
          if (by === undefined && event.key !== 'Enter') return
          event.preventDefault()
          event.stopPropagation()
          if (by === undefined) board.onOpen(batchId)
          else onMove(batchId, by)
        }}
        {...grip(event => {
          const at = pointIn(svg.current, event)
          return at && { batchId, fromX: at.x, byMin: 0 }
        })}
      >
        <Block kind={lane.kind} block={block} {...place} />
      </g>
    )
  })
}

interface BlockProps {
  readonly kind: BoardLane['kind']
  readonly block: BoardBlock
  readonly left: number
  readonly width: number
  readonly top: number
  readonly height: number
  /** Until the next block of the lane begins. */
  readonly roomToNext: number
}

function Block({ kind, block, left, width, top, height, roomToNext }: BlockProps) {
  const ink = kind === 'hot' ? '#f3e9da' : '#1c1713'
  const isTall = height > 34
  const title = block.title.length * LETTER < width - 8 ? block.title : block.short
  const fits = (text: string) => text !== '' && text.length * LETTER < width - 8
  if (kind === 'hands')
    return (
      <g>
        <title>{`${block.title} ${block.note}`}</title>
        <rect x={left} y={top} width={width} height={20} fill={FILL.hands} />
        {block.title.length * LETTER < roomToNext && (
          <text x={left} y={top + 37} fontSize={13} fill="#b3a696">
            {block.title}
          </text>
        )}
      </g>
    )
  return (
    <g>
      <title>{`${block.title} ${block.note}`}</title>
      <rect
        x={left}
        y={kind === 'hot' ? top + height - 38 : top}
        width={width}
        height={kind === 'hot' ? 38 : height}
        fill={FILL[kind]}
      />
      {kind === 'hot' && <rect x={left} y={top + height - 38} width={2.5} height={38} fill="#ff8a2a" />}
      {fits(title) && kind !== 'plates' && (
        <text
          x={left + 7}
          y={kind === 'hot' ? top + height - 22 : top + (isTall ? 19 : 17)}
          fontSize={13}
          fontWeight={620}
          fill={ink}
        >
          {title}
        </text>
      )}
      {fits(block.note) && (kind === 'hot' || isTall) && (
        <text x={left + 7} y={kind === 'hot' ? top + height - 7 : top + 36} fontSize={13} fill={ink}>
          {block.note}
        </text>
      )}
    </g>
  )
}
