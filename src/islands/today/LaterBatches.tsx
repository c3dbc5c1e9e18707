import { type PointerEvent, useRef } from 'react'
import type { Batch } from '../../core/shop/batch'
import { type DayBoardProps, minuteAt } from '../../ui/drawings/day/board'
import { pointIn, useDrag } from '../../ui/use-drag'

interface Props {
  readonly batches: readonly Batch[]
  /** Drawn part of the day; null if there is no drawing to drop anything on. */
  readonly board: Pick<DayBoardProps, 'fromMin' | 'toMin'> | null
  readonly clock: (min: number) => string
  readonly onDrop: (batch: Batch, atMin: number) => void
  readonly onOpen: (batchId: string) => void
}

interface Held {
  readonly batch: Batch
  /** Where it was taken hold of, and where the hand is, px of the window. */
  readonly from: readonly [x: number, y: number]
  readonly x: number
  readonly y: number
  /** The minute of the day it is over; null: it is not over the day. */
  readonly atMin: number | null
}

/** A hand in a glove trembles: less than this is a press, px. */
const LEAST_DRAG_PX = 8

/** Batches left for later: dropped onto the day they start where they fall; pressed, one says when. */
export function LaterBatches({ batches, board, clock, onDrop, onOpen }: Props) {
  const minuteUnder = (event: PointerEvent): number | null => {
    const drawing = document
      .elementsFromPoint(event.clientX, event.clientY)
      .find((one): one is SVGSVGElement => one instanceof SVGSVGElement && one.hasAttribute('data-day-board'))
    const at = drawing ? pointIn(drawing, event) : null
    return at && board ? minuteAt(at.x, board) : null
  }
  const wasDragged = useRef(false)
  const { held, grip } = useDrag<Held>({
    move: (now, event) => {
      const { clientX: x, clientY: y } = event
      const isDragged = wasDragged.current || Math.hypot(x - now.from[0], y - now.from[1]) >= LEAST_DRAG_PX
      if (!isDragged) return now
      wasDragged.current = true
      return { ...now, x, y, atMin: minuteUnder(event) }
    },
    drop: ({ batch, atMin }) => {
      if (atMin !== null) onDrop(batch, atMin)
    },
  })
  return (
    <p className="mb-2 flex flex-wrap items-center gap-x-2">
      Left for later:{' '}
      {batches.map(batch => (
        <button
          key={batch.id}
          type="button"
          className={`btn btn-plain link touch-none ${board ? 'cursor-grab' : ''}`}
          title={board ? 'Drag it onto the day, or press to say when' : 'Say when'}
          onClick={() => {
            // The hand that lets go of a batch presses it as well.
            if (!wasDragged.current) onOpen(batch.id)
            wasDragged.current = false
          }}
          {...grip(({ clientX: x, clientY: y }) => {
            wasDragged.current = false
            return board ? { batch, from: [x, y], x, y, atMin: null } : null
          })}
        >
          {batch.name}
        </button>
      ))}
      {held && wasDragged.current && (
        <span
          className="pointer-events-none fixed z-50 border border-ember bg-raised px-2 py-1 text-small"
          style={{ left: held.x + 12, top: held.y + 12 }}
        >
          {held.batch.name}
          {held.atMin === null ? '' : `, loaded at ${clock(held.atMin)}`}
        </span>
      )}
    </p>
  )
}
