import { canonicalText } from '../core/batch/canonical'
import type { Certificate } from '../core/certificate/certificate'
import type { CertificateFile } from '../core/contract/shapes/certificate'
import type { Picture } from '../core/shop/picture'

/** Prefix of a certificate's code, so that a scanner's user knows what it is. */
const CODE = 'tawny-ember-certificate'
/** So much of the digest goes on paper: 128 bits. */
const SHOWN_DIGITS = 32

/** Hexadecimal. Source: SHA-256, FIPS 180-4. */
async function sha256(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes)
  return [...new Uint8Array(digest)].map(byte => byte.toString(16).padStart(2, '0')).join('')
}

/** The digest of a certificate's canonical text. */
export const digestOf = (certificate: CertificateFile): Promise<string> =>
  sha256(new TextEncoder().encode(canonicalText(certificate)))

/** A stored picture with the digest of its file. */
export const withDigest = async <P extends Pick<Picture, 'jpeg'>>(picture: P): Promise<P & { sha256: string }> => ({
  ...picture,
  sha256: await sha256(Uint8Array.from(atob(picture.jpeg), sign => sign.charCodeAt(0))),
})

/** Returns the text of the printed code: which blade, and the digest of its certificate. */
export const codeOf = (certificate: Pick<Certificate, 'serial'>, digest: string): string =>
  `${CODE} ${certificate.serial} ${digest.slice(0, SHOWN_DIGITS)}`

/** The digest of a code that was scanned or typed in, with or without what stands before it; null where there is none in it. */
export function digestIn(text: string): string | null {
  const found = /([0-9a-f]{32})[0-9a-f]*\s*$/i.exec(text.replaceAll(/(?<=[0-9a-f]{4}) (?=[0-9a-f]{4})/gi, ''))
  return found?.[1]?.toLowerCase() ?? null
}

/** In groups of four, to be read aloud and typed. */
export const grouped = (digest: string): string => (digest.slice(0, SHOWN_DIGITS).match(/.{1,4}/g) ?? []).join(' ')
