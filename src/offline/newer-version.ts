/** How often an open page asks whether there is a newer version, ms. */
const EVERY_MS = 60 * 60 * 1000

const watchers = new Set<() => void>()
let waiting: ServiceWorker | null = null

const found = (worker: ServiceWorker | null) => {
  waiting = worker
  for (const told of watchers) told()
}

/** Keeps the application in this browser, so that it works while its server does not. Where a browser cannot, the server is needed. */
export async function keepOffline(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  try {
    const registration = await navigator.serviceWorker.register('/sw.js')
    const look = () => registration.active && registration.waiting && found(registration.waiting)
    look()
    registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', look))
    setInterval(() => void registration.update().catch(() => undefined), EVERY_MS)
  } catch {
    // A private window or a browser without leave to store: the pages then come from the server, as ever.
  }
}

/** Told when a newer version waits; the answer ends it. */
export function watchNewer(told: () => void): () => void {
  watchers.add(told)
  return () => watchers.delete(told)
}

export const isNewerWaiting = (): boolean => waiting !== null

/** Lets the newer version come, and loads this page with it. Other open pages go on as they are. */
export function changeOver(): void {
  // Another page has let it come already.
  if (waiting?.state !== 'installed') {
    location.reload()
    return
  }
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true })
  waiting?.postMessage('come')
}
