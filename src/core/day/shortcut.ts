/** Aims that an installed application is opened for from its icon: `/?to=run`, `/?to=readings` (public/app.webmanifest). */
export type Shortcut = 'run' | 'readings'

/** Batches by what they wait for, each by its id, first what comes first. */
export interface Waiting {
  readonly hot: readonly string[]
  /** Hardened, with a temper still to come. */
  readonly toTemper: readonly string[]
  readonly toRun: readonly string[]
  readonly toRead: readonly string[]
}

/** Returns the shortcut of an address's query; null where it has none. */
export function shortcutIn(search: string): Shortcut | null {
  const to = new URLSearchParams(search).get('to')
  return to === 'run' || to === 'readings' ? to : null
}

/** Returns where a shortcut leads: to what is hot, else where only one batch waits for it; null where one must choose, or none waits. */
export function shortcutTarget(shortcut: Shortcut, { hot, toTemper, toRun, toRead }: Waiting): string | null {
  const only = (ids: readonly string[]) => (ids.length === 1 ? ids[0] : undefined)
  if (shortcut === 'readings') return only(toRead) === undefined ? null : `/batch/${only(toRead)}/measure`
  const batch = hot[0] ?? only([...new Set([...toTemper, ...toRun])])
  return batch === undefined ? null : `/run/${batch}`
}
