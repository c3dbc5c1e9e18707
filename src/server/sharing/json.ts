/** Reads a text as JSON; null where it is none. */
export function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}
