import { describe, expect, it } from 'vitest'
import { newNonce, withNonce } from './nonce'

describe('the nonce of a response', () => {
  it('is another each time, of 128 bits', () => {
    const all = Array.from({ length: 200 }, newNonce)
    expect(new Set(all).size).toBe(200)
    for (const one of all) expect(Buffer.from(one, 'base64')).toHaveLength(16)
  })

  it('stands in the policy where its place is', () => {
    const policy = "style-src 'self' 'nonce-of-the-response'"
    expect(withNonce(policy, 'AAAA')).toBe("style-src 'self' 'nonce-AAAA'")
    expect(withNonce("default-src 'self'", 'AAAA')).toBe("default-src 'self'")
  })
})
