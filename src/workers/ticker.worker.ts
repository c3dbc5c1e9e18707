/** Ticks as often as it is told: a browser slows the timers of a page that is not in view, not those of its workers. */
addEventListener('message', ({ data: everyMs }: MessageEvent<number>) => {
  setInterval(() => postMessage(null), everyMs)
})
