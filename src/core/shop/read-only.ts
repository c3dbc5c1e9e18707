/** A record is read, never written in place: a change makes a new one. */
export type ReadOnly<T> = T extends object ? { readonly [K in keyof T]: ReadOnly<T[K]> } : T
