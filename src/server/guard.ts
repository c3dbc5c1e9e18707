/** Names under which this machine alone answers. */
const OWN_NAMES: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]'])
const IPV4 = /^\d{1,3}(\.\d{1,3}){3}$/

export interface Asked {
  readonly method: string
  /** The Host header, with its port. */
  readonly host: string | null
  readonly origin: string | null
  /** Where a browser says the request comes from; programs send none. */
  readonly fetchSite: string | null
  readonly fetchMode: string | null
  readonly isApi: boolean
}

export interface Refusal {
  readonly status: 403 | 405 | 421
  readonly code: 'wrong-method' | 'wrong-host' | 'foreign-page'
  readonly message: string
}

const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '')

/**
 * Whether a host is one of ours: this machine, an address of numbers, or a name that was allowed when it was started. Any other name may
 * be a foreign page's, pointed at this machine so that it can read what is here (DNS rebinding).
 */
function isOwnHost(host: string | null, allowed: readonly string[]): boolean {
  if (host === null) return false
  const name = nameOf(host)
  return OWN_NAMES.has(name) || IPV4.test(name) || name.startsWith('[') || allowed.includes(name)
}

/** Why a request is not answered; null where it is. `allowed`: further names of this machine, in lower case. */
export function refusalOf(asked: Asked, allowed: readonly string[]): Refusal | null {
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
  const opensPage = !asked.isApi && asked.method === 'GET' && asked.fetchMode === 'navigate'
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

const isSameHost = (origin: string, host: string | null): boolean =>
  URL.canParse(origin) && new URL(origin).host === host?.toLowerCase()

/** Sent with pages and answers besides the safe headers: who may frame them and where their forms go. */
export const FRAME_POLICY = "frame-ancestors 'none'; form-action 'self'"
