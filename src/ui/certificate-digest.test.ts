import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { canonicalText } from '../core/batch/canonical'
import { certificatesOf } from '../core/certificate/certificate'
import { certificateFileSchema } from '../core/contract/shapes/certificate'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { trayOfBlades } from '../testing/run'
import { NOW } from '../testing/tray'
import { codeOf, digestIn, digestOf, grouped, withDigest } from './certificate-digest'

const sources = {
  batch: trayOfBlades(1),
  shop: DEFAULT_WORKSHOP,
  readings: [],
  runs: [],
  logs: [],
  pictures: [],
  experienceOf: () => null,
}
const [certificate] = certificatesOf(sources, NOW)
if (!certificate) throw new Error('certificate')

describe('the digest of a certificate', () => {
  it('is SHA-256 of its canonical text, as another library has it', async () => {
    expect(await digestOf(certificate)).toBe(createHash('sha256').update(canonicalText(certificate)).digest('hex'))
  })

  it('is another for a tenth of a point more, and the same for the file read again', async () => {
    const digest = await digestOf(certificate)
    expect(await digestOf(JSON.parse(JSON.stringify(certificate, null, 2)))).toBe(digest)
    expect(await digestOf({ ...certificate, target: { ...certificate.target, min: 58.9 } })).not.toBe(digest)
  })

  it('holds for a paper of the version before, which named no pictures', async () => {
    const { pictures: _none, ...older } = { ...certificate, version: 4 as const }
    const read = certificateFileSchema.parse(JSON.parse(JSON.stringify(older)))
    expect(await digestOf(read)).toBe(createHash('sha256').update(canonicalText(older)).digest('hex'))
  })

  it('is found in what was scanned, read aloud or typed, and not in other words', async () => {
    const digest = await digestOf(certificate)
    const shown = digest.slice(0, 32)
    for (const text of [codeOf(certificate, digest), grouped(digest), digest, ` ${shown.toUpperCase()} `])
      expect(digestIn(text)).toBe(shown)
    expect(digestIn('no code here')).toBeNull()
  })
})

it('a picture’s digest is that of its file', async () => {
  const bytes = Buffer.from([0xff, 0xd8, 0xff, 0x00, 0x80])
  const { sha256 } = await withDigest({ jpeg: bytes.toString('base64') })
  expect(sha256).toBe(createHash('sha256').update(bytes).digest('hex'))
})
