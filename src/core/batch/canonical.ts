/**
 * A value as the one JSON text it has, whoever writes it: names in order, no spaces. Source: RFC 8785 (JSON Canonicalization Scheme),
 * for values without unpaired surrogates.
 * @example canonicalText({ b: 1, a: [true] }) // '{"a":[true],"b":1}'
 */
export function canonicalText(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(one => canonicalText(one ?? null)).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value ?? null)
  const entries = Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${entries.map(([name, one]) => `${JSON.stringify(name)}:${canonicalText(one)}`).join(',')}}`
}
