/** Names under which this machine alone answers. */
const OWN_NAMES = new Set(['localhost', '127.0.0.1', '[::1]'])
const IPV4 = /^\d{1,3}(\.\d{1,3}){3}$/
/** An address of IPv6 as a Host header has it: in brackets, and nothing after them. */
const IPV6 = /^\[[0-9a-f:.]+\]$/

/**
 * Addresses of the framework's own: what it would answer there (pictures made smaller for anyone, islands of the server) is not used, and
 * costs what no page of ours needs.
 */
const PRIVATE_PATH = /^\/+_/

const nameOf = host => host.toLowerCase().replace(/:\d+$/, '')

/**
 * Whether a host is one of ours: this machine, an address of numbers, or a name that was allowed when it was started. Any other name may
 * be a foreign page's, pointed at this machine so that it can read what is here (DNS rebinding).
 */
function isOwnHost(host, allowed) {
  if (host === null) return false
  const name = nameOf(host)
  return OWN_NAMES.has(name) || IPV4.test(name) || IPV6.test(name) || allowed.includes(name)
}

/** The path of a request as the application reads it: without query, unescaped, of a whole address as well; as it is where it cannot be read. */
export function pathOf(url) {
  try {
    return decodeURIComponent(/^https?:/i.test(url) ? new URL(url).pathname : url.split('?')[0])
  } catch {
    return url
  }
}

/** Why a request is not answered; null where it is. `allowed`: further names of this machine, in lower case. */
export function refusalOf(asked, allowed) {
  if (PRIVATE_PATH.test(asked.path) && !asked.path.startsWith('/_astro/'))
    return { status: 404, code: 'not-found', message: 'There is nothing here.' }
  if (asked.method === 'TRACE' || asked.method === 'TRACK')
    return { status: 405, code: 'wrong-method', message: 'This method is not answered.' }
  if (!isOwnHost(asked.host, allowed))
    return {
      status: 421,
      code: 'wrong-host',
      message:
        'This name is not one of this workshop’s. Open it by its address, or start it with TAWNY_HOSTS set to the name.',
    }
  const isForeign = asked.fetchSite !== null && asked.fetchSite !== 'same-origin' && asked.fetchSite !== 'none'
  // A link from elsewhere may open a page; nothing from elsewhere may ask, stream or change.
  const opensPage = !asked.path.startsWith('/api/') && asked.method === 'GET' && asked.fetchMode === 'navigate'
  if (isForeign && !opensPage)
    return { status: 403, code: 'foreign-page', message: 'Another site’s page asked for this. It is not answered.' }
  if (
    asked.origin !== null &&
    asked.method !== 'GET' &&
    asked.method !== 'HEAD' &&
    !isSameHost(asked.origin, asked.host)
  )
    return { status: 403, code: 'foreign-page', message: 'Another site’s page sent this. It is not taken.' }
  return null
}

const isSameHost = (origin, host) => URL.canParse(origin) && new URL(origin).host === host?.toLowerCase()
