import { defineMiddleware } from 'astro:middleware'
import { FRAME_POLICY, refusalOf } from './server/guard'
import { newNonce, withNonce } from './server/nonce'
import SAFE_HEADERS from './server/safe-headers.json'

/** Further names this machine is reached by, as it was started with: TAWNY_HOSTS=workshop.local,other */
const ALLOWED = (process.env.TAWNY_HOSTS ?? '')
  .toLowerCase()
  .split(',')
  .map(name => name.trim())
  .filter(name => name !== '')

export const onRequest = defineMiddleware(async ({ request, url, locals }, next) => {
  locals.styleNonce = newNonce()
  const header = (name: string) => request.headers.get(name)
  const refusal = refusalOf(
    {
      method: request.method,
      host: header('host'),
      origin: header('origin'),
      fetchSite: header('sec-fetch-site'),
      fetchMode: header('sec-fetch-mode'),
      isApi: url.pathname.startsWith('/api/'),
    },
    ALLOWED,
  )
  const response = refusal
    ? new Response(JSON.stringify({ error: { code: refusal.code, message: refusal.message, issues: [] } }), {
        status: refusal.status,
        headers: { 'content-type': 'application/json; charset=utf-8' },
      })
    : await next()
  for (const [name, value] of Object.entries(SAFE_HEADERS)) response.headers.set(name, value)
  const policy = response.headers.get('content-security-policy')
  if (policy) response.headers.set('content-security-policy', withNonce(policy, locals.styleNonce))
  response.headers.append('content-security-policy', FRAME_POLICY)
  return response
})
