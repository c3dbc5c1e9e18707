import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
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
function refused(request, response) {
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
    ALLOWED,
  )
  if (!refusal) return false
  for (const [name, value] of SAFE_HEADERS) response.setHeader(name, value)
  response.setHeader('content-type', 'application/json; charset=utf-8')
  response.statusCode = refusal.status
  response.end(JSON.stringify({ error: { code: refusal.code, message: refusal.message, issues: [] } }))
  return true
}

/** Serves a built application; resolves when it listens. */
export async function serve({ host, port, built = join(ROOT, 'dist') }) {
  const { handler } = await import(join(built, 'server', 'entry.mjs'))
  const files = filesOf(built)
  const server = createServer((request, response) => {
    if (refused(request, response)) return
    files(request, response, () => compress(request, response, () => handler(request, response)))
  })
  await new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, resolve)
  })
  return server
}
