/** A value that is watched: what React's useSyncExternalStore, and anything else, can follow. */
export interface Subscribable<T> {
  readonly get: () => T
  readonly subscribe: (listener: () => void) => () => void
}

/** A value with its watchers, told of each change. */
export function createSubscribable<T>(first: T): Subscribable<T> & { readonly set: (next: T) => void } {
  let value = first
  const listeners = new Set<() => void>()
  return {
    get: () => value,
    set(next) {
      value = next
      for (const listener of listeners) listener()
    },
    subscribe(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}
