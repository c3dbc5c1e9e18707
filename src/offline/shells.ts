/**
 * The pages as the server sends them, each without anything of its own in it: what it shows it reads from its address and from the
 * browser's storage. So one of each kind, kept once, stands for all of its kind.
 */
const SHELLS: readonly (readonly [pages: RegExp, kept: string])[] = [
  [/^\/$/, '/'],
  [/^\/batches$/, '/batches'],
  [/^\/recipes$/, '/recipes'],
  [/^\/steels$/, '/steels'],
  [/^\/workshop$/, '/workshop'],
  [/^\/logbook$/, '/logbook'],
  [/^\/start$/, '/start'],
  [/^\/wall$/, '/wall'],
  [/^\/check$/, '/check'],
  [/^\/join$/, '/join'],
  [
    /^\/batch\/[^/]+\/(choose|prepare|wrap|heat|plates|inspect|cold|temper|measure|verdict|finish|prove)$/,
    '/batch/any/choose',
  ],
  [/^\/run\/[^/]+$/, '/run/any'],
  [/^\/practice\/[^/]+$/, '/practice/any'],
  [/^\/print\/[^/]+$/, '/print/any'],
  [/^\/print\/recipe\/[^/]+$/, '/print/recipe/any'],
  [/^\/certificate\/[^/]+$/, '/certificate/any'],
  [/^\/oven\/[^/]+$/, '/oven/any'],
  [/^\/recipe\/[^/]+$/, '/recipe/any'],
  [/^\/blade\/[^/]+(\/[^/]+)?$/, '/blade/any'],
]

/** Addresses to keep, one of each kind of page. */
export const KEPT_SHELLS: readonly string[] = SHELLS.map(([, kept]) => kept)

/** Returns a path without the slash that servers of files put behind a folder. */
export const withoutSlash = (path: string): string => path.replace(/(.)\/$/, '$1')

/** The kept page that stands for an address; null for what is no page of ours. */
export const shellOf = (path: string): string | null =>
  SHELLS.find(([pages]) => pages.test(withoutSlash(path)))?.[1] ?? null
