/** Supplies what jsdom lacks and views ask of a page. Nothing is laid out: everything is as wide as it is asked to be. */
export function preparePage(): void {
  class Watcher {
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  Object.assign(globalThis, {
    ResizeObserver: Watcher,
    matchMedia: () => ({ matches: false, addEventListener() {}, removeEventListener() {} }),
  })
  for (const [side, px] of Object.entries({ clientWidth: 900, clientHeight: 600 }))
    Object.defineProperty(HTMLElement.prototype, side, { configurable: true, get: () => px })
  HTMLElement.prototype.setPointerCapture = () => {}
}
