// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react'
import { useEffect, useMemo } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ok, type Result } from '../core/codes/result'
import { createSubscribable } from '../core/subscribable'
import type { LogVersion } from './lanes'
import { useAnswer, useExactAnswer } from './use-answer'

interface Asked {
  readonly request: unknown
  readonly signal: AbortSignal | undefined
  readonly give: (answer: Result<unknown>) => void
  readonly fail: () => void
}

const { asked, kept, logVersion } = vi.hoisted(() => ({
  asked: [] as Asked[],
  /** What the last visit kept, by its question. */
  kept: new Map<string, unknown>(),
  logVersion: { current: null as unknown as ReturnType<typeof createSubscribable<LogVersion | null>> },
}))

vi.mock('./client', () => ({
  doorOf: () => ({ logVersion: logVersion.current, watchLog: () => {} }),
  ask: (_: string, request: unknown, signal?: AbortSignal) =>
    new Promise((resolve, reject) => {
      asked.push({ request, signal, give: resolve, fail: () => reject(new Error('no worker')) })
    }),
}))

vi.mock('../store/kept-answers', () => ({
  keptAnswer: async (name: string) => kept.get(name) ?? null,
}))

beforeEach(() => {
  asked.length = 0
  kept.clear()
  logVersion.current = createSubscribable<LogVersion | null>(null)
})
afterEach(cleanup)

const settle = () => act(() => new Promise(resolve => setTimeout(resolve, 5)))
const give = async (i: number, value: unknown) => {
  asked[i]?.give(ok(value))
  await settle()
}

function Chamber({ id }: { id: string | null }) {
  // biome-ignore lint/suspicious/noExplicitAny: the door is a stand-in that looks at nothing.
  const answer = useAnswer('chamber', id === null ? null : ({ oven: id } as any))
  return <p>{answer === undefined ? 'waiting' : answer.ok ? String(answer.value) : answer.problems[0]?.code}</p>
}
function Exact({ id }: { id: string }) {
  // biome-ignore lint/suspicious/noExplicitAny: the door is a stand-in that looks at nothing.
  const answer = useExactAnswer('chamber', { oven: id } as any)
  return <p>{answer?.ok ? String(answer.value) : 'waiting'}</p>
}
function Trends() {
  const answer = useAnswer('trends', { by: 'oven' })
  return <p>{answer === undefined ? 'waiting' : answer.ok ? String(answer.value) : 'refused'}</p>
}
const shown = () => screen.getByText(/.+/).textContent

describe('an answer in a view', () => {
  it('is waited for, stays while the next is worked out, and gives way to it', async () => {
    const { rerender } = render(<Chamber id="a" />)
    await settle()
    expect(shown()).toBe('waiting')
    await give(0, 'A')
    expect(shown()).toBe('A')
    rerender(<Chamber id="b" />)
    await settle()
    expect(shown()).toBe('A')
    await give(1, 'B')
    expect(shown()).toBe('B')
  })

  it('is asked once for the same question, however often the view is drawn, and kept for the next time', async () => {
    const { rerender, unmount } = render(<Chamber id="c" />)
    await settle()
    await give(0, 'C')
    for (let i = 0; i < 3; i++) rerender(<Chamber id="c" />)
    unmount()
    render(<Chamber id="c" />)
    await settle()
    expect(asked).toHaveLength(1)
    expect(shown()).toBe('C')
  })

  it('that nobody waits for any more is called off, and a late one never covers a newer', async () => {
    const { rerender } = render(<Chamber id="d" />)
    await settle()
    rerender(<Chamber id="e" />)
    await settle()
    expect(asked[0]?.signal?.aborted).toBe(true)
    await give(1, 'E')
    await give(0, 'D')
    expect(shown()).toBe('E')
  })

  it('that must be of this very question is not shown for another', async () => {
    const { rerender } = render(<Exact id="x" />)
    await settle()
    await give(0, 'X')
    expect(shown()).toBe('X')
    rerender(<Exact id="y" />)
    await settle()
    expect(shown()).toBe('waiting')
    await give(1, 'Y')
    expect(shown()).toBe('Y')
  })

  it('of no request is not asked for', async () => {
    render(<Chamber id={null} />)
    await settle()
    expect(asked).toEqual([])
    expect(shown()).toBe('waiting')
  })

  it('that no worker gives is a problem like any other', async () => {
    render(<Chamber id="f" />)
    await settle()
    asked[0]?.fail()
    await settle()
    expect(shown()).toBe('worker-failed')
  })

  it('that rests on the log waits until it was read, and is asked anew when it changes', async () => {
    render(<Trends />)
    await settle()
    expect(asked).toEqual([])
    act(() => logVersion.current.set({ log: 1, newest: 1, learnt: 1 }))
    await settle()
    await give(0, 'one')
    expect(shown()).toBe('one')
    act(() => logVersion.current.set({ log: 2, newest: 1, learnt: 1 }))
    await settle()
    expect(asked).toHaveLength(2)
    expect(shown()).toBe('one')
    await give(1, 'two')
    expect(shown()).toBe('two')
  })

  it('of the last visit is shown while no worker has answered, and put right where it differs', async () => {
    kept.set('chamber', ok('of yesterday'))
    render(<Chamber id="k1" />)
    await settle()
    expect(shown()).toBe('of yesterday')
    await give(0, 'of today')
    expect(shown()).toBe('of today')
  })

  it('of the last visit is not drawn again where the worker says the same', async () => {
    const yesterday = ok({ figures: [1, 2] })
    kept.set('chamber', yesterday)
    const drawn: unknown[] = []
    function Drawn() {
      const request = useMemo(() => ({ oven: 'k2' }), [])
      // biome-ignore lint/suspicious/noExplicitAny: the door is a stand-in that looks at nothing.
      const answer = useAnswer('chamber', request as any)
      useEffect(() => {
        if (answer) drawn.push(answer)
      }, [answer])
      return null
    }
    render(<Drawn />)
    await settle()
    await give(0, { figures: [1, 2] })
    expect(drawn).toEqual([yesterday])
  })

  it('of the last visit stands for nothing where no worker answers, or where it must be exact', async () => {
    kept.set('chamber', ok('of yesterday'))
    render(<Chamber id="k3" />)
    await settle()
    asked[0]?.fail()
    await settle()
    expect(shown()).toBe('worker-failed')
    cleanup()
    render(<Exact id="k4" />)
    await settle()
    expect(shown()).toBe('waiting')
  })
})
