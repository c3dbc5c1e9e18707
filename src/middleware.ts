import { defineMiddleware } from 'astro:middleware'
import { newNonce, withNonce } from './server/nonce'
import SAFE_HEADERS from './server/safe-headers.json'

/** Sent with pages and answers besides the safe headers: who may frame them and where their forms go. */
const FRAME_POLICY = "frame-ancestors 'none'; form-action 'self'"

/** Headers and the nonce of each page; who is answered at all is decided before, for files too (scripts/guard.mjs). */
export const onRequest = defineMiddleware(async ({ locals }, next) => {
  locals.styleNonce = newNonce()
  const response = await next()
  for (const [name, value] of Object.entries(SAFE_HEADERS)) response.headers.set(name, value)
  const policy = response.headers.get('content-security-policy')
  if (policy) response.headers.set('content-security-policy', withNonce(policy, locals.styleNonce))
  response.headers.append('content-security-policy', FRAME_POLICY)
  return response
})
