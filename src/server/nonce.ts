import { randomBytes } from 'node:crypto'

/** Placeholder in the built policy, replaced for each response. */
const PLACE = "'nonce-of-the-response'"

/** A number used once: 128 bits nobody can guess. */
export const newNonce = (): string => randomBytes(16).toString('base64')

/** The policy with the nonce of this response. */
export const withNonce = (policy: string, nonce: string): string => policy.replaceAll(PLACE, `'nonce-${nonce}'`)
