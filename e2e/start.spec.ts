import { createServer } from 'node:net'
import { expect, test } from '@playwright/test'
import { freePort } from '../scripts/ports.mjs'

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
