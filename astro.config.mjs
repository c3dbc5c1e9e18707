import node from '@astrojs/node'
import react from '@astrojs/react'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig, passthroughImageService } from 'astro/config'
import { compressed } from './scripts/build/compressed.mjs'
import { noPaths } from './scripts/build/no-paths.mjs'
import { offline } from './scripts/build/offline.mjs'
import { questionThread } from './scripts/build/question-thread.mjs'
import { sharing } from './scripts/build/sharing.mjs'

/** Parts below a third of a kilobyte go into one that is fetched with them: fewer to fetch, for no more to read. */
const FEWER_PARTS = { output: { experimentalMinChunkSize: 300 } }

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react(), noPaths(), offline(), compressed()],
  devToolbar: { enabled: false },
  // No picture is made smaller by the server: what would do so is not built in, and its address is refused (scripts/guard.mjs).
  image: { service: passthroughImageService() },
  // The interface takes JSON alone and keeps no session: a form post is answered by our own 415, not by a 403.
  security: { checkOrigin: false },
  vite: {
    plugins: [tailwindcss(), questionThread(), sharing()],
    worker: { format: 'es', rollupOptions: FEWER_PARTS },
    // A hint for each part that a lazy part needs costs a slow tablet more than fetching it when its turn comes: all of it is near.
    build: { modulePreload: false, rollupOptions: FEWER_PARTS },
    resolve: {
      alias: [
        // A library of statistics tries whether code can be made from text; the content policy forbids it, and browsers say so each time.
        { find: '@stdlib/utils-eval', replacement: new URL('./scripts/build/no-eval.mjs', import.meta.url).pathname },
        // The storage library's own build for browsers of today: a seventh smaller than what its package gives to bundlers.
        { find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.min.mjs' },
      ],
    },
  },
  experimental: {
    csp: {
      // Two libraries put a stylesheet of their own into the page: messages (sonner, one fixed text, by its digest) and
      // dialogs (scroll lock, by a nonce that is another for each response: src/server/nonce.ts puts it where this one stands). Scripts are bound to digests alone.
      styleDirective: {
        hashes: ['sha256-StEaX+se6YS7pqjzrzMIA0KaX9zF/8zAhvQXZAe5epY='],
        resources: ["'self'", "'nonce-of-the-response'"],
      },
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'self'",
      ],
    },
  },
})
