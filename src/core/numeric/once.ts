/** Makes something the first time it is wanted, and gives the same from then on. */
export function once<T>(make: () => T): () => T {
  let made: { readonly it: T } | null = null
  return () => {
    made ??= { it: make() }
    return made.it
  }
}
