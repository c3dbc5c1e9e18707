import { expose } from 'comlink'
import { describe, expect, it, vi } from 'vitest'
import { startTask } from './open-worker'

interface Door {
  readonly fit: (told: (share: number) => void) => Promise<string>
}

/** A worker as a page sees one, its other end answered here. */
function workerOf(door: Door): Worker {
  const { port1, port2 } = new MessageChannel()
  expose(door, port2)
  port1.start()
  return Object.assign(port1, { terminate: () => port1.close(), onerror: null }) as unknown as Worker
}

describe('a task in a worker', () => {
  it('tells its share while it goes, and nothing after its result', async () => {
    const progress = vi.fn()
    let late: (share: number) => unknown = () => undefined
    const task = startTask<Door, string>(
      workerOf({
        fit: async told => {
          await told(0.5)
          late = told
          return 'fitted'
        },
      }),
      progress,
      (door, told) => door.fit(told),
    )
    expect(await task.done).toBe('fitted')
    expect(progress.mock.calls).toEqual([[0.5]])
    await late(1)
    expect(progress).toHaveBeenCalledTimes(1)
  })

  it('fails where its worker cannot be loaded', async () => {
    const worker = workerOf({ fit: () => new Promise(() => undefined) })
    const task = startTask<Door, string>(
      worker,
      () => undefined,
      (door, told) => door.fit(told),
    )
    worker.onerror?.({ message: 'not there' } as ErrorEvent)
    await expect(task.done).rejects.toThrow('not there')
  })
})
