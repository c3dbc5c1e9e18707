import { type PointerEvent, useState } from 'react'

interface DragOptions<T> {
  /** What is held, moved to where the pointer is; the same object where that changes nothing. */
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
  const [hand, setHand] = useState<{ readonly held: T; readonly isMoved: boolean } | null>(null)
  const grip = (take: (event: PointerEvent) => T | null) => ({
    onPointerDown: (event: PointerEvent) => {
      const taken = take(event)
      if (!taken) return
      event.currentTarget.setPointerCapture(event.pointerId)
      setHand({ held: taken, isMoved: false })
    },
    onPointerMove: (event: PointerEvent) => {
      const next = hand && move(hand.held, event)
      if (!next || next === hand.held) return
      setHand({ held: next, isMoved: true })
      moved?.(next)
    },
    onPointerUp: () => {
      if (hand?.isMoved) drop(hand.held)
      setHand(null)
    },
    onPointerCancel: () => setHand(null),
  })
  return { held: hand?.held ?? null, grip }
}

/** Where a pointer is in the units of a drawing; null before it is drawn. */
export function pointIn(drawing: SVGSVGElement | null, event: PointerEvent): DOMPoint | null {
  const matrix = drawing?.getScreenCTM()
  return matrix ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()) : null
}
