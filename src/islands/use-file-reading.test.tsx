// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ok, type Result } from '../core/codes/result'
import { FileOnItsWay } from './FileOnItsWay'
import { useFileReading } from './use-file-reading'

/** Readings that were begun: each is stopped or given its result. */
const { begun } = vi.hoisted(() => ({
  begun: [] as { readonly give: (result: Result<string> | null) => void; stopped: boolean }[],
}))

vi.mock('../workers/files-client', () => ({
  readFile: () => {
    let give: (result: Result<string> | null) => void = () => undefined
    const done = new Promise<Result<string> | null>(resolve => {
      give = resolve
    })
    const reading = { give, stopped: false }
    begun.push(reading)
    const stop = () => {
      reading.stopped = true
      give(null)
    }
    return { done, stop }
  },
}))

beforeEach(() => {
  begun.length = 0
})
afterEach(cleanup)

const results: (Result<string> | null)[] = []
function Reader() {
  const { onItsWay, read } = useFileReading()
  const choose = (name: string) =>
    void read(new File([], name), async () => ok('')).then(result => results.push(result))
  return (
    <>
      <button type="button" onClick={() => choose('one.csv')}>
        one
      </button>
      <button type="button" onClick={() => choose('two.csv')}>
        two
      </button>
      <FileOnItsWay file={onItsWay} />
    </>
  )
}
const press = (name: string) => act(async () => void fireEvent.click(screen.getByRole('button', { name })))
const give = (i: number, value: string) => act(async () => begun[i]?.give(ok(value)))

describe('a small file that is read', () => {
  beforeEach(() => {
    results.length = 0
    render(<Reader />)
  })

  it('is said while it is, and no longer', async () => {
    await press('one')
    expect(screen.getByRole('status').textContent).toContain('Reading one.csv')
    await give(0, 'read')
    expect(screen.queryByRole('status')).toBeNull()
    expect(results).toEqual([ok('read')])
  })

  it('can be stopped: nothing comes of it', async () => {
    await press('one')
    await press('Stop')
    expect(screen.queryByRole('status')).toBeNull()
    expect([results, begun[0]?.stopped]).toEqual([[null], true])
  })

  it('gives way to the next, whose name stays until it is read', async () => {
    await press('one')
    await press('two')
    expect(begun[0]?.stopped).toBe(true)
    expect(screen.getByRole('status').textContent).toContain('Reading two.csv')
    await give(1, 'second')
    expect(results).toEqual([null, ok('second')])
  })

  it('is stopped when its view is left', async () => {
    await press('one')
    cleanup()
    expect(begun[0]?.stopped).toBe(true)
  })
})
