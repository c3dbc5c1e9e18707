import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { join } from 'node:path'
import compression from 'compression'
import sirv from 'sirv'
import { ROOT } from './bootstrap.mjs'
import { pathOf, refusalOf } from './guard.mjs'

const SAFE_HEADERS = Object.entries(JSON.parse(readFileSync(join(ROOT, 'src', 'server', 'safe-headers.json'), 'utf8')))
/** Serves files: those with a digest in their name never change, the rest are revalidated and mostly answered by 304. */
const filesOf = built =>
  sirv(join(built, 'client'), {
    etag: true,
    brotli: true,
    gzip: true,
    setHeaders: (response, path) => {
      for (const [name, value] of SAFE_HEADERS) response.setHeader(name, value)
      response.setHeader(
        'cache-control',
        path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache',
      )
    },
  })

/** Pages and answers; a stream of events is not held back to be compressed. */
const compress = compression({
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
})

/** Further names this machine is reached by, as it was started with: TAWNY_HOSTS=workshop.local,other */
const ALLOWED = (process.env.TAWNY_HOSTS ?? '')
  .toLowerCase()
  .split(',')
  .map(name => name.trim())
  .filter(name => name !== '')

/** Answers what is refused, before any file or page is looked for; false where it is not. */
function refused(request, response, allowed = ALLOWED) {
  const { headers, method, url } = request
  const refusal = refusalOf(
    {
      method,
      path: pathOf(url),
      host: headers.host ?? null,
      origin: headers.origin ?? null,
      fetchSite: headers['sec-fetch-site'] ?? null,
      fetchMode: headers['sec-fetch-mode'] ?? null,
    },
    allowed,
  )
  if (!refusal) return false
  for (const [name, value] of SAFE_HEADERS) response.setHeader(name, value)
  response.setHeader('content-type', 'application/json; charset=utf-8')
  response.statusCode = refusal.status
  response.end(JSON.stringify({ error: { code: refusal.code, message: refusal.message, issues: [] } }))
  return true
}

const listening = (server, port, host) =>
  new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, () => resolve(server))
  })

/** Serves a built application; resolves when it listens. `sharing`: a shared workshop, whose screens are let in here too. */
export async function serve({ host, port, built = join(ROOT, 'dist'), sharing = null }) {
  const { handler } = await import(join(built, 'server', 'entry.mjs'))
  const files = filesOf(built)
  const server = createServer((request, response) => {
    if (refused(request, response) || sharing?.door.answer(request, response, pathOf(request.url))) return
    files(request, response, () => compress(request, response, () => handler(request, response)))
  })
  if (sharing) server.on('upgrade', upgradeTo(sharing, ALLOWED))
  return listening(server, port, host)
}

/** Opens the socket of a screen; what is refused is refused here as well. */
const upgradeTo = (sharing, allowed) => (request, socket, head) => {
  socket.on('error', () => socket.destroy())
  const path = pathOf(request.url)
  const asked = {
    method: 'GET',
    path,
    host: request.headers.host ?? null,
    origin: null,
    fetchSite: null,
    fetchMode: null,
  }
  if (refusalOf(asked, allowed)) return socket.destroy()
  sharing.door.upgrade(request, socket, head, path)
}

/** A built application as `openSharing` shares it, for other machines of the local network: over HTTPS alone. Answers that cost are for its screens. */
export async function serveShared({ host, port, hosts, sharing, built = join(ROOT, 'dist') }) {
  const { handler } = await import(join(built, 'server', 'entry.mjs'))
  const files = filesOf(built)
  const allowed = [...ALLOWED, ...hosts]
  const { cert, key } = sharing.certificates()
  const server = createSecureServer({ cert, key }, (request, response) => {
    const path = pathOf(request.url)
    if (refused(request, response, allowed) || sharing.door.answer(request, response, path)) return
    if (path.startsWith('/api/') && !sharing.door.screenOf(request)) {
      response.setHeader('content-type', 'application/json; charset=utf-8')
      response.statusCode = 401
      const message = 'Only screens of the workshop are answered here.'
      response.end(JSON.stringify({ error: { code: 'not-a-screen', message, issues: [] } }))
      return
    }
    files(request, response, () => compress(request, response, () => handler(request, response)))
  })
  server.on('upgrade', upgradeTo(sharing, allowed))
  const daily = setInterval(async () => {
    if (await sharing.renew()) server.setSecureContext(sharing.certificates())
  }, 86_400_000)
  daily.unref()
  return listening(server, port, host)
}
