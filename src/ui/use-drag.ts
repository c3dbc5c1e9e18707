import { type PointerEvent, useRef, useState } from 'react'

interface DragOptions<T> {
  /** Returns the held object at the pointer's place; the same object if nothing changes. */
  readonly move: (held: T, event: PointerEvent) => T
  /** Let go of after it was moved: where it came to rest. */
  readonly drop: (held: T) => void
  /** Told at every step on the way. */
  readonly moved?: (held: T) => void
}

/**
 * Something that is dragged with mouse, pen or finger. `grip` gives the handlers of what it is taken hold of by, with what is then
 * held; null where it cannot be. A drag that the browser breaks off is as if it had not been.
 */
export function useDrag<T extends object>({ move, drop, moved }: DragOptions<T>) {
  const [held, setHeld] = useState<T | null>(null)
  /** Object in the hand by now: a page may be drawn later than the hand lets go. */
  const hand = useRef<{ readonly held: T; readonly isMoved: boolean } | null>(null)
  const hold = (next: typeof hand.current) => {
    hand.current = next
    setHeld(next?.held ?? null)
  }
  const grip = (take: (event: PointerEvent) => T | null) => ({
    onPointerDown: (event: PointerEvent) => {
      const taken = take(event)
      if (!taken) return
      event.currentTarget.setPointerCapture(event.pointerId)
      hold({ held: taken, isMoved: false })
    },
    onPointerMove: (event: PointerEvent) => {
      const next = hand.current && move(hand.current.held, event)
      if (!next || next === hand.current?.held) return
      hold({ held: next, isMoved: true })
      moved?.(next)
    },
    onPointerUp: () => {
      if (hand.current?.isMoved) drop(hand.current.held)
      hold(null)
    },
    onPointerCancel: () => hold(null),
  })
  return { held, grip }
}

/** Where a pointer is in the units of a drawing; null before it is drawn. */
export function pointIn(drawing: SVGSVGElement | null, event: PointerEvent): DOMPoint | null {
  const matrix = drawing?.getScreenCTM()
  return matrix ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()) : null
}
