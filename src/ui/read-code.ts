import jsQR from 'jsqr'

/** The bytes of the first QR code in some pixels; null where there is none. Source: ISO/IEC 18004, by the jsqr package. */
export function codeIn({ data, width, height }: ImageData): Uint8Array | null {
  const found = jsQR(data, width, height)
  return found ? Uint8Array.from(found.binaryData) : null
}
