import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ToldShare } from '../core/files/pieces'
import { waitingMessages } from '../ui/toast'
import { makingFile } from './making-file'

const FILE = new Blob(['everything'])

/** A file that is being made: what tells how far it is, and what ends it. */
function making() {
  let told: ToldShare = () => undefined
  let made: (file: Blob) => void = () => undefined
  let failed: (error: Error) => void = () => undefined
  const done = new Promise<Blob>((resolve, reject) => {
    made = resolve
    failed = reject
  })
  const cancel = vi.fn()
  const result = makingFile('log.json', share => {
    told = share
    return { done, cancel }
  })
  return {
    result,
    cancel,
    told: (share: number) => told(share),
    made: () => made(FILE),
    failed: () => failed(new Error()),
  }
}

const said = () => waitingMessages.get().map(message => message.text)

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'] })
  waitingMessages.set([])
})
afterEach(() => vi.useRealTimers())

describe('a file that is being made', () => {
  it('is not spoken of where it is made in a moment', async () => {
    const file = making()
    file.told(0.5)
    file.made()
    expect(await file.result).toBe(FILE)
    expect(said()).toEqual([])
  })

  it('says how far it is where it takes longer, in steps, and that it is made', async () => {
    const file = making()
    vi.setSystemTime(Date.now() + 1000)
    for (const share of [0.1, 0.11, 0.12, 0.31, 1]) file.told(share)
    file.made()
    await file.result
    expect(said()).toEqual([
      'Making log.json: 10 %',
      'Making log.json: 30 %',
      'Making log.json: 100 %',
      'log.json is made: your browser keeps it with its downloads.',
    ])
    // One message that changes, not four.
    expect(new Set(waitingMessages.get().map(message => message.options?.id)).size).toBe(1)
  })

  it('can be stopped: the task is ended, and nothing is made', async () => {
    const file = making()
    vi.setSystemTime(Date.now() + 1000)
    file.told(0.4)
    const action = waitingMessages.get()[0]?.options?.action as unknown as {
      onClick: (event: { preventDefault: () => void }) => void
    }
    const preventDefault = vi.fn()
    action.onClick({ preventDefault })
    expect(preventDefault).toHaveBeenCalledOnce()
    expect(await file.result).toBeNull()
    expect(file.cancel).toHaveBeenCalledOnce()
    expect(said().at(-1)).toBe('Stopped: log.json was not made.')
  })

  it('says that it could not be made, and fails as its task does', async () => {
    const file = making()
    vi.setSystemTime(Date.now() + 1000)
    file.told(0.4)
    file.failed()
    await expect(file.result).rejects.toThrow()
    expect(said().at(-1)).toBe('log.json could not be made.')
  })
})
