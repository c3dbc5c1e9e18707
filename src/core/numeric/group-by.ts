/**
 * Items by a key of theirs, in their order.
 * @example groupBy([1, 2, 3], n => (n % 2 ? 'odd' : 'even')).get('odd') // [1, 3]
 */
export function groupBy<T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const key = keyOf(item)
    const group = groups.get(key)
    if (group) group.push(item)
    else groups.set(key, [item])
  }
  return groups
}
