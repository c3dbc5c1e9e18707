import { mkdtemp, rm } from 'node:fs/promises'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { freePort, portToUse } from '../scripts/ports.mjs'

test('a port that is taken is stepped over, and said', async () => {
  const taken = createServer()
  await new Promise<void>(resolve => taken.listen(43_990, '127.0.0.1', resolve))
  const said: string[] = []
  const log = console.log
  console.log = text => void said.push(String(text))
  try {
    expect(await freePort(43_990, '127.0.0.1')).toBe(43_991)
    expect(said).toEqual(['Port 43990 is taken; using 43991.'])
    expect(await freePort(43_992, '127.0.0.1')).toBe(43_992)
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
