/// <reference lib="webworker" />
import { getCacheKeyForURL, matchPrecache, precache } from 'workbox-precaching'
import { registerRoute } from 'workbox-routing'
import { KEPT_SHELLS, shellOf } from './shells'

declare const self: ServiceWorkerGlobalScope
/** Every file the browser may fetch, with what tells its versions apart; written in when the application is built. */
declare const SHIPPED: readonly { readonly url: string; readonly revision: string | null }[]
/** Tells one build from another. */
declare const BUILD: string

/** Parts of the version before, for pages that were opened with it and still stand. */
const EARLIER = 'tawny-ember-earlier'

// Before the library clears what the new version no longer has: an open page may still ask for it.
self.addEventListener('activate', event => event.waitUntil(keepEarlier().then(() => self.clients.claim())))
async function keepEarlier() {
  const wanted = new Set(SHIPPED.map(({ url }) => new URL(url, self.location.href).pathname))
  const names = (await caches.keys()).filter(name => name.includes('precache'))
  const gone: [Request, Response][] = []
  for (const name of names) {
    const cache = await caches.open(name)
    for (const request of await cache.keys()) {
      const { pathname } = new URL(request.url)
      const response = pathname.startsWith('/_astro/') && !wanted.has(pathname) && (await cache.match(request))
      if (response) gone.push([request, response])
    }
  }
  if (gone.length === 0) return
  await caches.delete(EARLIER)
  const earlier = await caches.open(EARLIER)
  for (const [request, response] of gone) await earlier.put(request, response)
}

/** Routes an installing worker may register for requests that need not wake it (Service Workers, 'static routes'); not every browser has them. */
interface WithRoutes {
  addRoutes?(rule: { condition: { urlPattern: string; requestMethod: string }; source: 'cache' }): Promise<void>
}

// A part has its digest in its name. Some 150 of them come with a bench: where the browser can, it takes each from what is kept, of this
// version or of the one before, without asking here; where it cannot, the routes below do the same.
self.addEventListener('install', event => {
  const asked = (event as WithRoutes).addRoutes?.({
    condition: { urlPattern: '/_astro/*', requestMethod: 'get' },
    source: 'cache',
  })
  if (asked) event.waitUntil(asked.catch(() => undefined))
})

precache([...SHIPPED, ...KEPT_SHELLS.map(url => ({ url, revision: BUILD }))])

registerRoute(
  ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && shellOf(url.pathname) !== null,
  async ({ request, url }) => (await matchPrecache(shellOf(url.pathname) ?? '')) ?? fetch(request),
)
registerRoute(
  ({ request, url, sameOrigin }) =>
    sameOrigin && request.method === 'GET' && request.mode !== 'navigate' && !url.pathname.startsWith('/api/'),
  async ({ request, url }) =>
    (getCacheKeyForURL(url.pathname) && (await matchPrecache(url.pathname))) ||
    (await (await caches.open(EARLIER)).match(request)) ||
    fetch(request),
)

// A new version waits until it is asked to come: it never changes a page under someone's hands.
self.addEventListener('message', event => {
  if (event.data === 'come') void self.skipWaiting()
})
