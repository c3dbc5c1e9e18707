export interface Asked {
  readonly method: string
  /** Path of the address, without its query. */
  readonly path: string
  /** The Host header, with its port. */
  readonly host: string | null
  readonly origin: string | null
  /** Where a browser says the request comes from; programs send none. */
  readonly fetchSite: string | null
  readonly fetchMode: string | null
}

export interface Refusal {
  readonly status: 403 | 404 | 405 | 421
  readonly code: 'wrong-method' | 'wrong-host' | 'foreign-page' | 'not-found'
  readonly message: string
}

/** The path of a request as the application reads it: without query, unescaped, of a whole address as well. */
export function pathOf(url: string): string

/** Why a request is not answered; null where it is. `allowed`: further names of this machine, in lower case. */
export function refusalOf(asked: Asked, allowed: readonly string[]): Refusal | null
