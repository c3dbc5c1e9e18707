import { afterEach, describe, expect, it, vi } from 'vitest'

/** A worker whose file cannot be fetched. */
class Missing {
  onerror: ((event: { message: string }) => void) | null = null
  constructor() {
    setTimeout(() => this.onerror?.({ message: 'not there' }))
  }
  postMessage() {}
  addEventListener() {}
  removeEventListener() {}
  terminate() {}
}

afterEach(() => vi.unstubAllGlobals())

describe('a worker that cannot be loaded', () => {
  it('leaves no question waiting: its log counts as read, and what is asked fails', async () => {
    vi.stubGlobal('Worker', Missing)
    const { ask, doorOf } = await import('./client')
    const { logVersion, watchLog } = doorOf('trends')
    watchLog('log')
    await vi.waitFor(() => expect(logVersion.get()?.log).toBeGreaterThan(0), { timeout: 45_000 })
    expect(logVersion.get()?.learnt).toBeGreaterThan(0)
    await expect(ask('trends', { by: 'oven' })).rejects.toThrow('not there')
  })
})
