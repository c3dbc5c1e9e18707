// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react'
import { useEffect } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ok, type Result } from '../core/codes/result'
import { createSubscribable } from '../core/subscribable'
import type { LogVersion } from './lanes'
import { useAnswer, useExactAnswer, useTold, useWarmUp } from './use-answer'

interface Asked {
  readonly request: unknown
  readonly signal: AbortSignal | undefined
  readonly give: (answer: Result<unknown>) => void
  readonly fail: () => void
}

const { asked, kept, logVersion, watched, stamp, readied, held } = vi.hoisted(() => ({
  /** The store of kept answers while another tab holds it. */
  held: { current: null as Promise<null> | null },
  asked: [] as Asked[],
  /** Answers of the last visit, by question and request. */
  kept: new Map<string, unknown>(),
  logVersion: { current: null as unknown as ReturnType<typeof createSubscribable<LogVersion | null>> },
  /** Questions whose worker was readied. */
  readied: [] as string[],
  /** Parts of the log that a worker was told to read. */
  watched: [] as string[],
  stamp: { current: null as unknown as ReturnType<typeof createSubscribable<string | null | undefined>> },
}))
/** Keeps an answer of the last visit, from the log as it was stamped; where it is of a thing, what was asked about it. */
const keep = (name: string, request: unknown, value: unknown, of: string | null = null, asked: unknown = request) =>
  kept.set(`${name} ${JSON.stringify(request)}`, { answer: ok(value), stamp: of, asked: JSON.stringify(asked) })

vi.mock('./client', () => ({
  warmUp: (name: string) => readied.push(name),
  doorOf: () => ({ logVersion: logVersion.current, watchLog: (part: string) => watched.push(part) }),
  ask: (_: string, request: unknown, { signal }: { signal?: AbortSignal }) =>
    new Promise((resolve, reject) => {
      asked.push({ request, signal, give: resolve, fail: () => reject(new Error('no worker')) })
    }),
}))

vi.mock('../store/kept-answers', () => ({
  keptAnswer: async (name: string, request: unknown) =>
    (await held.current) ?? kept.get(`${name} ${JSON.stringify(request)}`) ?? null,
  isTold: async (name: string, about: string) => kept.has(`${name} ${JSON.stringify({ id: about })}`),
  isAnyKeptOf: async (of: string) => [...kept.values()].some(one => (one as { stamp: string | null }).stamp === of),
}))
vi.mock('../store/log-stamp', () => ({
  readLogStamp: async () => stamp.current.get() ?? null,
  logStamp: {
    get: () => stamp.current.get(),
    subscribe: (listener: () => void) => stamp.current.subscribe(listener),
  },
}))

beforeEach(() => {
  asked.length = 0
  kept.clear()
  watched.length = 0
  readied.length = 0
  held.current = null
  stamp.current = createSubscribable<string | null | undefined>('now')
  logVersion.current = createSubscribable<LogVersion | null>(null)
})
afterEach(cleanup)

/** Renders what an `act` left pending, and its consequences. */
const settle = async () => {
  for (let i = 0; i < 3; i++) await act(() => new Promise(resolve => setTimeout(resolve, 8)))
}
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
function Trends({ by = 'oven' }: { by?: string }) {
  // biome-ignore lint/suspicious/noExplicitAny: the door is a stand-in that looks at nothing.
  const answer = useAnswer('trends', { by } as any)
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

  it('of the last visit is shown where the log has changed since, until the worker has answered anew', async () => {
    keep('trends', { by: 't1' }, 'of yesterday', 'yesterday')
    render(<Trends by="t1" />)
    await settle()
    expect(shown()).toBe('of yesterday')
    act(() => logVersion.current.set({ log: 1, newest: 1, learnt: 1 }))
    await settle()
    await give(0, 'of today')
    expect(shown()).toBe('of today')
  })

  it('of the last visit is not drawn again where the worker says the same', async () => {
    keep('trends', { by: 't2' }, { figures: [1, 2] }, 'yesterday')
    const drawn: unknown[] = []
    // biome-ignore lint/suspicious/noExplicitAny: the door is a stand-in that looks at nothing.
    const request = { by: 't2' } as any
    function Drawn() {
      const answer = useAnswer('trends', request)
      useEffect(() => {
        if (answer) drawn.push(answer)
      }, [answer])
      return null
    }
    render(<Drawn />)
    act(() => logVersion.current.set({ log: 1, newest: 1, learnt: 1 }))
    await settle()
    await give(0, { figures: [1, 2] })
    expect(drawn).toHaveLength(1)
  })

  it('of the last visit is the answer where the log has not changed since: no worker reads it or is asked', async () => {
    keep('trends', { by: 't3' }, 'as it stands', 'now')
    render(<Trends by="t3" />)
    await settle()
    expect(shown()).toBe('as it stands')
    expect([asked, watched]).toEqual([[], []])
    // Something is measured on the page, or in another tab.
    act(() => stamp.current.set('later'))
    act(() => logVersion.current.set({ log: 1, newest: 1, learnt: 1 }))
    await settle()
    expect(watched).toContain('log')
    expect(shown()).toBe('as it stands')
    await give(0, 'with what was measured')
    expect(shown()).toBe('with what was measured')
  })

  it('of the last visit to what was changed since is shown meanwhile, and never taken for the answer', async () => {
    keep('chamber', { oven: 'k7' }, 'before the change', null, { oven: 'k7', offset: 3 })
    const { unmount } = render(<Chamber id="k7" />)
    await settle()
    expect([shown(), asked.length]).toEqual(['before the change', 1])
    await give(0, 'after it')
    expect(shown()).toBe('after it')
    unmount()
    keep('chamber', { oven: 'k8' }, 'before the change', null, { oven: 'k8', offset: 3 })
    render(<Exact id="k8" />)
    await settle()
    expect(shown()).toBe('waiting')
  })

  it('tells whether it is of the last visit, until it is answered anew', async () => {
    const told: boolean[] = []
    function Told() {
      // biome-ignore lint/suspicious/noExplicitAny: the door is a stand-in that looks at nothing.
      const { answer, isOfBefore } = useTold('chamber', { oven: 'k10' } as any)
      useEffect(() => {
        if (answer) told.push(isOfBefore)
      }, [answer, isOfBefore])
      return null
    }
    keep('chamber', { oven: 'k10' }, 'before the change', null, { oven: 'k10', offset: 3 })
    render(<Told />)
    await settle()
    await give(0, 'after it')
    expect(told).toEqual([true, false])
  })

  it('of the last visit is drawn before a worker is asked anew, and nothing waits where there is none', async () => {
    let idle: () => void = () => undefined
    vi.stubGlobal('requestIdleCallback', (then: () => void) => {
      idle = then
      return 1
    })
    vi.stubGlobal('cancelIdleCallback', () => undefined)
    keep('chamber', { oven: 'k9' }, 'before the change', null, { oven: 'k9', offset: 3 })
    render(<Chamber id="k9" />)
    await settle()
    expect([shown(), asked.length]).toEqual(['before the change', 0])
    act(() => idle())
    await settle()
    expect(asked).toHaveLength(1)
    cleanup()
    render(<Chamber id="new" />)
    await settle()
    expect(asked).toHaveLength(2)
    vi.unstubAllGlobals()
  })

  it('of the last visit that never had a stamp is asked anew', async () => {
    stamp.current.set(null)
    keep('trends', { by: 't4' }, 'of before', null)
    render(<Trends by="t4" />)
    act(() => logVersion.current.set({ log: 1, newest: 1, learnt: 1 }))
    await settle()
    expect(asked).toHaveLength(1)
  })

  it('of the last visit that rests on the request alone is the answer to it, and to no other', async () => {
    keep('chamber', { oven: 'k3' }, 'of k3')
    const { rerender } = render(<Chamber id="k3" />)
    await settle()
    expect([shown(), asked.length]).toEqual(['of k3', 0])
    rerender(<Chamber id="k4" />)
    await settle()
    expect([shown(), asked.length]).toEqual(['of k3', 1])
    await give(0, 'of k4')
    expect(shown()).toBe('of k4')
    rerender(<Chamber id="k3" />)
    await settle()
    expect([shown(), asked.length]).toEqual(['of k3', 1])
  })

  it('is asked for where the store of the last visit never answers', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    try {
      held.current = new Promise(() => undefined)
      render(<Chamber id="held" />)
      await act(() => vi.advanceTimersByTimeAsync(900))
      expect(asked).toEqual([])
      await act(() => vi.advanceTimersByTimeAsync(200))
      expect(asked).toHaveLength(1)
    } finally {
      vi.useRealTimers()
    }
  })

  it('of the last visit is taken where it must be exact, and only where it is', async () => {
    keep('chamber', { oven: 'k5' }, 'of k5')
    const { rerender } = render(<Exact id="k5" />)
    await settle()
    expect(shown()).toBe('of k5')
    rerender(<Exact id="k6" />)
    await settle()
    expect(shown()).toBe('waiting')
  })

  it('of the last visit stands for nothing where a worker is needed and none answers', async () => {
    keep('trends', { by: 't5' }, 'of yesterday', 'yesterday')
    render(<Trends by="t5" />)
    act(() => logVersion.current.set({ log: 1, newest: 1, learnt: 1 }))
    await settle()
    asked[0]?.fail()
    await settle()
    expect(shown()).toBe('refused')
  })
})

describe('the workers of a page', () => {
  function Page({ about }: { about?: string }) {
    useWarmUp(['trends', 'batch'], about)
    return null
  }

  it.each<[string, () => void]>([
    ['nothing was answered before', () => undefined],
    ['the log has changed since', () => keep('batch', {}, 'of yesterday', 'yesterday')],
    ['the log was never stamped', () => stamp.current.set(null)],
  ])('are readied at once where %s', async (_, before) => {
    before()
    render(<Page />)
    await settle()
    expect(readied).toEqual(['trends', 'batch'])
  })

  it('are left alone where the log stands as it was answered from, until the page was looked at for a while', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    try {
      keep('batch', {}, 'as it stands', 'now')
      render(<Page />)
      await act(() => vi.advanceTimersByTimeAsync(3900))
      expect(readied).toEqual([])
      await act(() => vi.advanceTimersByTimeAsync(200))
      expect(readied).toEqual(['trends', 'batch'])
    } finally {
      vi.useRealTimers()
    }
  })

  it.each([
    ['left alone at first where something was told of what the page is of', ['trends', 'batch'], []],
    ['readied at once where one of its answers is of nothing yet', ['batch'], ['trends', 'batch']],
  ])('are %s', async (_, told, atOnce) => {
    // The log has changed since.
    for (const name of told) keep(name, { id: 'b1' }, 'of yesterday', 'yesterday')
    const { unmount } = render(<Page about="b1" />)
    await settle()
    expect(readied).toEqual(atOnce)
    unmount()
    readied.length = 0
    render(<Page about="b2" />)
    await settle()
    expect(readied).toEqual(['trends', 'batch'])
  })

  it('are not readied for a page that went before', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    try {
      keep('batch', {}, 'as it stands', 'now')
      render(<Page />).unmount()
      await act(() => vi.advanceTimersByTimeAsync(5000))
      expect(readied).toEqual([])
    } finally {
      vi.useRealTimers()
    }
  })
})
