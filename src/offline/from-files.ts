/**
 * In a folder of plain files only one page of each kind lies there, at the address that it is kept by: these take any other address
 * to it and back.
 */
import { shellOf, withoutSlash } from './shells'

const ASKED = 'at'

/** Returns where the page for an address lies that no file stands for; null where no page has it, or the page lies there itself. */
export function fileFor({ pathname, search, hash }: Pick<Location, 'pathname' | 'search' | 'hash'>): string | null {
  const shell = shellOf(pathname)
  if (shell === null || shell === withoutSlash(pathname)) return null
  return `${shell}/?${new URLSearchParams({ [ASKED]: pathname + search + hash })}`
}

/** Returns the address that a page was asked for by, out of the one it lies at; null where it was asked for by its own. */
export function addressAsked({ origin, search }: Pick<Location, 'origin' | 'search'>): string | null {
  const asked = new URLSearchParams(search).get(ASKED)
  if (asked === null || !URL.canParse(asked, origin)) return null
  const { origin: itsOrigin, pathname } = new URL(asked, origin)
  return itsOrigin === origin && shellOf(pathname) !== null ? asked : null
}
