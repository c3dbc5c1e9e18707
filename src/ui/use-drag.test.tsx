// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { useDrag } from './use-drag'

beforeAll(() => {
  // jsdom lays nothing out and captures nothing.
  HTMLElement.prototype.setPointerCapture = () => {}
})
afterEach(cleanup)

interface At {
  readonly x: number
}

function dragged(fixed = false) {
  const moved = vi.fn<(at: At) => void>()
  const drop = vi.fn<(at: At) => void>()
  function Handle() {
    const { held, grip } = useDrag<At>({
      move: (now, event) => (event.clientX === now.x ? now : { x: event.clientX }),
      moved,
      drop,
    })
    return (
      <button type="button" {...grip(() => (fixed ? null : { x: 0 }))}>
        {held ? `at ${held.x}` : 'let go'}
      </button>
    )
  }
  render(<Handle />)
  return { moved, drop, handle: screen.getByRole('button') }
}

/** jsdom's own pointer events carry no place. */
const pointer = (kind: string, clientX = 0) =>
  Object.assign(new MouseEvent(kind, { bubbles: true, clientX }), { pointerId: 1 })

describe('something that is dragged', () => {
  it('follows the pointer from where it is taken hold of, and is dropped where it came to rest', () => {
    const { moved, drop, handle } = dragged()
    fireEvent(handle, pointer('pointermove', 5))
    expect(handle.textContent).toBe('let go')
    fireEvent(handle, pointer('pointerdown'))
    fireEvent(handle, pointer('pointermove', 5))
    fireEvent(handle, pointer('pointermove', 5))
    fireEvent(handle, pointer('pointermove', 9))
    expect(handle.textContent).toBe('at 9')
    // What changes nothing is not told.
    expect(moved.mock.calls.map(([at]) => at.x)).toEqual([5, 9])
    fireEvent(handle, pointer('pointerup'))
    expect(drop.mock.calls).toEqual([[{ x: 9 }]])
    expect(handle.textContent).toBe('let go')
  })

  it('is dropped where it was last, though the page was not drawn since', () => {
    const { drop, handle } = dragged()
    // Three events in one task: nothing is drawn between them.
    act(() => {
      handle.dispatchEvent(pointer('pointerdown'))
      handle.dispatchEvent(pointer('pointermove', 5))
      handle.dispatchEvent(pointer('pointermove', 8))
      handle.dispatchEvent(pointer('pointerup'))
    })
    expect(drop.mock.calls).toEqual([[{ x: 8 }]])
  })

  it('that was only touched changes nothing', () => {
    const { drop, handle } = dragged()
    fireEvent(handle, pointer('pointerdown'))
    fireEvent(handle, pointer('pointerup'))
    expect(drop).not.toHaveBeenCalled()
  })

  it('that the browser breaks off is as if it had not been', () => {
    const { drop, handle } = dragged()
    fireEvent(handle, pointer('pointerdown'))
    fireEvent(handle, pointer('pointermove', 5))
    fireEvent(handle, pointer('pointercancel'))
    fireEvent(handle, pointer('pointerup'))
    expect(drop).not.toHaveBeenCalled()
    expect(handle.textContent).toBe('let go')
  })

  it('cannot be taken hold of where it must not', () => {
    const { moved, handle } = dragged(true)
    fireEvent(handle, pointer('pointerdown'))
    fireEvent(handle, pointer('pointermove', 5))
    expect(moved).not.toHaveBeenCalled()
  })
})
