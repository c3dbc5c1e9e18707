/** How a text file is written; names as the Encoding Standard (WHATWG) has them. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252'

/** Bytes of a file's beginning that tell. */
export const TELLING_BYTES = 64 * 1024

/**
 * How a text is written, from its beginning: by its byte order mark; without one, as UTF-16 where every other byte is empty as in
 * European text, as UTF-8 where all of it is valid, else as the Latin alphabet of older logging programs (which has Latin-1 in it).
 */
export function encodingOf(beginning: Uint8Array): Encoding {
  const [a, b] = beginning
  if (a === 0xff && b === 0xfe) return 'utf-16le'
  if (a === 0xfe && b === 0xff) return 'utf-16be'
  const empty = [0, 0]
  for (const [i, byte] of beginning.entries()) if (byte === 0) empty[i % 2] = (empty[i % 2] ?? 0) + 1
  const [even = 0, odd = 0] = empty
  if (odd > beginning.length / 4) return 'utf-16le'
  if (even > beginning.length / 4) return 'utf-16be'
  try {
    // What is cut off in the middle of a letter at the end is no fault.
    new TextDecoder('utf-8', { fatal: true }).decode(beginning, { stream: true })
    return 'utf-8'
  } catch {
    return 'windows-1252'
  }
}

/** A text file's whole text, however it is written. */
export function decodeText(bytes: Uint8Array): string {
  return new TextDecoder(encodingOf(bytes.subarray(0, TELLING_BYTES))).decode(bytes)
}
