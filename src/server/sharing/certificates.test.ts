import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { createServer, get } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { certificatesFor } from './certificates'

let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tawny-ember-tls-'))
})
afterEach(() => rmSync(folder, { recursive: true }))

const DAY_MS = 86_400_000

/** Asks a server with these certificates, as a browser that trusts this authority. Source of what is a good chain: OpenSSL, in Node. */
async function asked({ cert, key }: { cert: string; key: string }, ca: string, servername?: string): Promise<string> {
  const server = createServer({ cert, key }, (_, response) => response.end('here'))
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  try {
    return await new Promise<string>((resolve, reject) => {
      get({ host: '127.0.0.1', port, ca, servername, agent: false }, response => {
        response.resume()
        response.on('end', () => resolve(`answered ${response.statusCode}`))
      }).on('error', error => reject(error))
    })
  } finally {
    server.close()
  }
}

it('is trusted by who trusts the authority, at the addresses it was made for and no other', async () => {
  const made = await certificatesFor(['127.0.0.1', 'bench.local'], folder)
  const authority = made.authority as string
  await expect(asked(made, authority)).resolves.toBe('answered 200')
  await expect(asked(made, authority, 'bench.local')).resolves.toBe('answered 200')
  await expect(asked(made, authority, 'other.local')).rejects.toThrow(/does not match/)
  const elsewhere = mkdtempSync(join(tmpdir(), 'tawny-ember-tls-'))
  const other = await certificatesFor(['127.0.0.1'], elsewhere)
  rmSync(elsewhere, { recursive: true })
  await expect(asked(made, other.authority as string)).rejects.toThrow(/signature|unable to/)
})

it('is the same at the next start, another where an address is new or it would soon run out, and the authority stays', async () => {
  const first = await certificatesFor(['127.0.0.1'], folder)
  expect((await certificatesFor(['127.0.0.1'], folder)).cert).toBe(first.cert)
  const moved = await certificatesFor(['127.0.0.1', '192.168.1.7'], folder)
  expect(moved.cert).not.toBe(first.cert)
  expect(moved.authority).toBe(first.authority)
  const later = await certificatesFor(['127.0.0.1', '192.168.1.7'], folder, new Date(Date.now() + 350 * DAY_MS))
  expect(later.cert).not.toBe(moved.cert)
  expect(later.authority).toBe(first.authority)
})

it('lets nobody but its owner read the keys, and is no longer good than browsers take', async () => {
  const { until } = await certificatesFor(['127.0.0.1'], folder)
  for (const key of ['authority.key', 'server.key']) {
    expect(statSync(join(folder, key)).mode & 0o077, key).toBe(0)
    expect(readFileSync(join(folder, key), 'utf8')).toContain('PRIVATE KEY')
  }
  // CA/Browser Forum, ballot SC-31: 398 days.
  expect((until.getTime() - Date.now()) / DAY_MS).toBeLessThan(398)
})
