/** Does something when the page has nothing left to draw, or after so long at most, ms; at once where the browser cannot tell. Gives back what calls it off. */
export function whenIdle(act: () => void, withinMs: number): () => void {
  // Safari cannot tell.
  if (typeof requestIdleCallback === 'undefined') {
    act()
    return () => undefined
  }
  const idle = requestIdleCallback(act, { timeout: withinMs })
  return () => cancelIdleCallback(idle)
}
