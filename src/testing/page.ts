/** What jsdom has not, and what views ask of a page. Nothing is laid out: everything is as wide as it is asked to be. */
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
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, get: () => 900 })
  HTMLElement.prototype.setPointerCapture = () => {}
}
