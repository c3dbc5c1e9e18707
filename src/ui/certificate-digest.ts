import { canonicalText } from '../core/job/canonical'
import type { Certificate } from '../core/job/certificate'

/** What a certificate's code begins with, so that a scanner's user knows what it is. */
const CODE = 'tawny-ember-certificate'
/** So much of the digest goes on paper: 128 bits. */
const SHOWN_DIGITS = 32

/** The digest of a certificate's canonical text, hexadecimal. Source: SHA-256, FIPS 180-4. */
export async function digestOf(certificate: Certificate): Promise<string> {
  const bytes = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(canonicalText(certificate)))
  return [...new Uint8Array(bytes)].map(byte => byte.toString(16).padStart(2, '0')).join('')
}

/** What is printed as a code: which blade, and the digest of its certificate. */
export const codeOf = (certificate: Pick<Certificate, 'serial'>, digest: string): string =>
  `${CODE} ${certificate.serial} ${digest.slice(0, SHOWN_DIGITS)}`

/** The digest of a code that was scanned or typed in, with or without what stands before it; null where there is none in it. */
export function digestIn(text: string): string | null {
  const found = /([0-9a-f]{32})[0-9a-f]*\s*$/i.exec(text.replaceAll(/(?<=[0-9a-f]{4}) (?=[0-9a-f]{4})/gi, ''))
  return found?.[1]?.toLowerCase() ?? null
}

/** In groups of four, to be read aloud and typed. */
export const grouped = (digest: string): string => (digest.slice(0, SHOWN_DIGITS).match(/.{1,4}/g) ?? []).join(' ')
