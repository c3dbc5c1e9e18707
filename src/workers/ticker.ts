/**
 * Calls back every so many milliseconds, in a page that is hidden too; returns what ends it. Without a worker, by the page's own timer.
 */
export function startTicker(everyMs: number, onTick: () => void): () => void {
  if (typeof Worker === 'undefined') return byTimer(everyMs, onTick)
  const worker = new Worker(new URL('./ticker.worker.ts', import.meta.url), { type: 'module' })
  let stop = () => worker.terminate()
  worker.onmessage = onTick
  worker.onerror = () => {
    worker.terminate()
    stop = byTimer(everyMs, onTick)
  }
  worker.postMessage(everyMs)
  return () => stop()
}

function byTimer(everyMs: number, onTick: () => void): () => void {
  const timer = setInterval(onTick, everyMs)
  return () => clearInterval(timer)
}
