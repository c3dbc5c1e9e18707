import { mkdtemp, rm } from 'node:fs/promises'
import { type AddressInfo, createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { freePort, portToUse } from '../scripts/ports.mjs'

test('a port that is taken is stepped over, and said', async () => {
  const taken = createServer()
  await new Promise<void>(resolve => taken.listen(0, '127.0.0.1', resolve))
  const { port } = taken.address() as AddressInfo
  const said: string[] = []
  const log = console.log
  console.log = text => void said.push(String(text))
  try {
    // Others on this machine may have the next ones.
    const next = await freePort(port, '127.0.0.1')
    expect(next).toBeGreaterThan(port)
    expect(said).toEqual([`Port ${port} is taken; using ${next}.`])
    expect(await freePort(next, '127.0.0.1')).toBe(next)
  } finally {
    console.log = log
    taken.close()
  }
})

test('a workshop’s port is kept; where it is taken that is said, and another is taken only when asked for', async () => {
  const folder = await mkdtemp(join(tmpdir(), 'tawny-ember-port-'))
  const keptIn = join(folder, 'cache', 'port')
  const use = (another = false) => portToUse('127.0.0.1', { keptIn, wanted: undefined, another })
  const own = createServer()
  try {
    const port = await use()
    expect(await use()).toBe(port)
    await new Promise<void>(resolve => own.listen(port, '127.0.0.1', resolve))
    await expect(use()).rejects.toThrow(`Port ${port} is taken`)
    const other = await use(true)
    expect(other).not.toBe(port)
    await new Promise(resolve => own.close(resolve))
    expect(await use(), 'the one that was kept').toBe(port)
    expect(await portToUse('127.0.0.1', { keptIn, wanted: '43995' })).toBe(43_995)
  } finally {
    own.close()
    await rm(folder, { recursive: true })
  }
})
