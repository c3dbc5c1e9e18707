// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { IncidentEvent } from '../../core/run/live-events'
import { runStateAt } from '../../core/run/run-state'
import type { RunStep } from '../../core/shop/run'
import * as store from '../../store/runs'
import { befell, pressedAt, runOf, trayOfBlades, withEvents } from '../../testing/run'
import { AfterCut } from './AfterCut'
import { Choices } from './Choices'
import { SomethingHappened } from './SomethingHappened'
import { useHeard } from './use-heard'
import { useLeaving } from './use-leaving'
import { HOLD_MS, usePressKey } from './use-press-key'
import { useRunClock } from './use-run-clock'
import { localVoices } from './voice'

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
})
afterEach(() => {
  cleanup()
  vi.restoreAllMocks()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const SPACE = { key: ' ', code: 'Space' }
const tap = (key: object = SPACE) =>
  act(() => {
    fireEvent.keyDown(window, key)
    vi.advanceTimersByTime(80)
    fireEvent.keyUp(window, key)
  })
const hold = (key: object = SPACE) =>
  act(() => {
    fireEvent.keyDown(window, key)
    vi.advanceTimersByTime(HOLD_MS + 50)
    fireEvent.keyUp(window, key)
  })

describe('one key', () => {
  const pressKey = (boundKey: string | null = null) => {
    const [onShort, onHold] = [vi.fn(), vi.fn()]
    renderHook(() => usePressKey({ onShort, onHold, off: false, boundKey }))
    return { onShort, onHold }
  }

  it('confirms with the instant it went down; held it means that something happened, and confirms nothing', () => {
    const { onShort, onHold } = pressKey()
    const downMs = Date.now()
    tap()
    expect(onShort.mock.calls).toEqual([[downMs]])
    hold()
    expect([onShort.mock.calls.length, onHold.mock.calls.length]).toEqual([1, 1])
  })

  it('may be a pedal’s, a presenter’s or one that was bound, but not a browser’s shortcut nor a button’s own key', () => {
    const { onShort } = pressKey('F13')
    for (const key of ['Enter', 'PageDown', 'ArrowRight', 'F13']) tap({ key })
    expect(onShort).toHaveBeenCalledTimes(4)
    tap({ ...SPACE, ctrlKey: true })
    tap({ key: 'q' })
    render(<button type="button">Own</button>)
    fireEvent.keyDown(screen.getByRole('button'), SPACE)
    fireEvent.keyUp(screen.getByRole('button'), SPACE)
    expect(onShort).toHaveBeenCalledTimes(4)
  })
})

describe('leaving a run', () => {
  const leaving = (mode: 'shop' | 'practice') => {
    const run = { ...runOf(trayOfBlades(1)), mode }
    const back = vi.spyOn(history, 'back').mockImplementation(() => undefined)
    history.pushState(null, '', '/elsewhere')
    const { result } = renderHook(() => useLeaving(run))
    const closing = () => {
      const event = new Event('beforeunload', { cancelable: true })
      dispatchEvent(event)
      return event.defaultPrevented
    }
    return { result, back, closing }
  }

  it('takes Esc twice with a word between, and the first is forgotten', () => {
    const { result, back } = leaving('shop')
    act(() => result.current.ask())
    expect([result.current.asked, back.mock.calls.length]).toEqual([true, 0])
    act(() => vi.advanceTimersByTime(6000))
    expect(result.current.asked).toBe(false)
    act(() => result.current.ask())
    act(() => result.current.ask())
    expect(back).toHaveBeenCalledTimes(1)
  })

  it('asks when the page is closed in a run that counts, unless leaving was meant; never in practice', () => {
    const { result, closing } = leaving('shop')
    expect(closing()).toBe(true)
    act(() => result.current.meant())
    expect(closing()).toBe(false)
    cleanup()
    expect(leaving('practice').closing()).toBe(false)
  })
})

describe('a list', () => {
  it('has the focus at once, and its keys stay theirs whatever else is listed', () => {
    const chosen = vi.fn()
    const choices = [
      { value: 'a', label: 'first', quick: '1' },
      { value: 'c', label: 'third', quick: '3' },
    ]
    render(<Choices label="Which?" choices={choices} onChoose={chosen} boundKey={null} />)
    const list = screen.getByRole('listbox')
    expect(document.activeElement).toBe(list)
    fireEvent.keyDown(list, { key: '2' })
    fireEvent.keyDown(list, { key: '3' })
    expect(chosen.mock.calls).toEqual([['c']])
  })

  it('is worked by that key alone: short for the next, held to take it; its figure takes at once', () => {
    const chosen = vi.fn()
    const choices = ['one', 'two', 'three'].map(value => ({ value, label: value }))
    render(<Choices label="Which?" choices={choices} onChoose={chosen} boundKey={null} />)
    tap()
    tap()
    expect(screen.getByRole('option', { selected: true }).textContent).toContain('three')
    hold()
    tap()
    hold()
    fireEvent.keyDown(screen.getByRole('listbox'), { key: '2' })
    expect(chosen.mock.calls.flat()).toEqual(['three', 'one', 'two'])
  })
})

describe('the power is back and blades are in the oven', () => {
  it('keeps with the cut what is chosen, and calls off where that is', () => {
    const cut = { ...befell(4000, 'power-cut', [], 600), kind: 'incident' as const } as IncidentEvent
    const run = withEvents(runOf(trayOfBlades(2)), cut)
    const onStop = vi.fn()
    const changed = vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    const chosen = () => changed.mock.calls.at(-1)?.[1](run).events.at(-1)
    render(<AfterCut run={run} cut={cut} boundKey={null} standing="It shows 900." onStop={onStop} />)
    fireEvent.click(screen.getByRole('option', { name: /Heat again/ }))
    expect(chosen()).toMatchObject({ id: cut.id, afterCut: 'soak-anew' })
    fireEvent.click(screen.getByRole('option', { name: /Call the run off/ }))
    expect([chosen(), onStop.mock.calls.length]).toMatchObject([{ afterCut: 'go-on' }, 1])
  })
})

describe('something happened', () => {
  const run = runOf(trayOfBlades(2))
  const going = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600, 6000))
  const ask = (people: 1 | 2 = 1) => {
    const logged = vi.spyOn(store, 'logEvents').mockResolvedValue({ saved: true, problems: [] })
    const state = { ...runStateAt(going, 6010), people }
    render(<SomethingHappened run={going} batch={trayOfBlades(2)} state={state} boundKey={null} onClose={() => {}} />)
    return () => logged.mock.calls.at(-1)?.[1][0]
  }
  const choose = (name: string | RegExp) => fireEvent.click(screen.getByRole('option', { name }))

  it('asks which blade, the one in hand first, and no more where no more matters', () => {
    const last = ask()
    choose(/Cracked/)
    expect(screen.getAllByRole('option')[0]?.textContent).toContain('A1')
    choose(/A1/)
    expect(last()).toMatchObject({ kind: 'incident', incident: 'cracked', bladeIds: ['A1'] })
  })

  it('asks how long where that is what matters, the usual first', () => {
    const last = ask()
    choose(/Vice closed late/)
    choose(/A2/)
    expect(screen.getAllByRole('option')[0]?.textContent).toContain('15 s')
    choose(/30 s/)
    expect(last()).toMatchObject({ incident: 'vice-late', bladeIds: ['A2'], seconds: 30 })
    cleanup()
    const power = ask()
    choose(/Power cut/)
    choose(/20 min/)
    expect(power()).toMatchObject({ incident: 'power-cut', bladeIds: [], seconds: 1200 })
  })

  it('offers a helper’s leaving only where there is one', () => {
    ask()
    expect(screen.queryByRole('option', { name: /Helper gone/ })).toBeNull()
    cleanup()
    ask(2)
    expect(screen.getByRole('option', { name: /Helper gone/ })).toBeTruthy()
  })

  it('calls the run off with a reason and what was made safe', () => {
    const change = vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    ask()
    choose(/Call it off/)
    choose(/not safe/)
    choose(/Oven off/)
    choose(/Door shut/)
    choose(/End the run/)
    const ended = change.mock.calls[0]?.[1](going)
    expect(ended?.endedAt).not.toBeNull()
    expect(ended?.events.at(-1)).toMatchObject({ kind: 'stop', reason: 'danger', safe: ['power', 'door'] })
    expect(ended?.events.slice(0, -1)).toEqual(going.events)
  })
})

/** An audio context that counts the tones it is given; a page has one, however many listen. */
const starts: number[] = []
function stubAudio() {
  starts.length = 0
  class Audio {
    currentTime = 0
    destination = {}
    resume = async () => undefined
    createOscillator = () => ({
      frequency: { value: 0 },
      connect: (to: unknown) => to,
      start: () => starts.push(Date.now()),
      stop: () => undefined,
    })
    createGain = () => ({
      gain: { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined },
      connect: (to: unknown) => to,
    })
  }
  vi.stubGlobal('AudioContext', Audio)
  return starts
}

/** A voice of this machine and one that asks a server, and what is said. */
function stubVoices() {
  const said: { text: string; voice: string }[] = []
  const voices = [
    { name: 'Far', lang: 'en', localService: false },
    { name: 'Near', lang: 'en-GB', localService: true },
  ]
  vi.stubGlobal(
    'SpeechSynthesisUtterance',
    class {
      voice = voices[0]
      constructor(readonly text: string) {}
    },
  )
  vi.stubGlobal('speechSynthesis', {
    getVoices: () => voices,
    cancel: () => undefined,
    speak: (one: { text: string; voice: { name: string } }) => said.push({ text: one.text, voice: one.voice.name }),
  })
  return said
}

describe('what is heard', () => {
  const run = runOf(trayOfBlades(2))
  const step = run.steps.find(one => one.kind === 'pull') as RunStep
  const words = { title: 'Pull A1', action: 'Pull A1, clamp, air on', detail: '' }
  const prefs = { sound: true, voice: true, voiceName: null, notify: false, boundKey: null }
  const heard = (people: 1 | 2 = 1) =>
    renderHook(
      ({ nowS }: { nowS: number }) =>
        useHeard({ step, words, nowS, dueS: 100, ready: nowS >= 100, wrong: false, people, prefs }),
      { initialProps: { nowS: 0 } },
    )

  it('is spoken a minute, half a minute and ten seconds ahead and at the act, by a voice of this machine', () => {
    stubAudio()
    const said = stubVoices()
    const { rerender } = heard()
    for (let nowS = 0; nowS <= 101; nowS += 0.25) rerender({ nowS })
    expect(said.map(one => one.text)).toEqual([
      'Pull A1 in one minute.',
      'Pull A1 in 30 seconds.',
      'Pull A1 in 10 seconds.',
      'Now. Pull A1, clamp, air on.',
    ])
    expect(new Set(said.map(one => one.voice))).toEqual(new Set(['Near']))
    expect(localVoices().map(voice => voice.name)).toEqual(['Near'])
  })

  it('is called to the right one of two', () => {
    stubAudio()
    const said = stubVoices()
    const { rerender } = heard(2)
    for (const nowS of [99, 101]) rerender({ nowS })
    expect(said.at(-1)?.text).toBe('Oven: Now. Pull A1, clamp, air on. Plates: Now. Pull A1, clamp, air on.')
  })

  it('sounds again until somebody answers, and is in the title', () => {
    const starts = stubAudio()
    stubVoices()
    const { rerender, unmount } = heard()
    expect([starts.length, document.title]).toEqual([0, 'Waiting: Pull A1, clamp, air on'])
    rerender({ nowS: 100 })
    expect(document.title).toBe('NOW: Pull A1, clamp, air on')
    const once = starts.length
    expect(once).toBeGreaterThan(0)
    act(() => void vi.advanceTimersByTime(20_000))
    expect(starts.length).toBe(3 * once)
    unmount()
    act(() => void vi.advanceTimersByTime(20_000))
    expect(starts.length).toBe(3 * once)
  })

  it('breaks nothing where there is neither sound nor voice', () => {
    vi.stubGlobal('AudioContext', undefined)
    vi.stubGlobal('speechSynthesis', undefined)
    const { rerender } = heard()
    expect(() => rerender({ nowS: 100 })).not.toThrow()
  })
})

describe('the clock on the page', () => {
  const begun = () => runOf(trayOfBlades(1), { clock: [{ realMs: Date.now(), runS: 0, speed: 1 }] })
  const seen = (runId: string, part: object) =>
    localStorage.setItem(
      `tawny-ember-run-seen:${runId}`,
      JSON.stringify({ wallMs: Date.now(), runS: 0, left: false, ...part }),
    )

  it('asks what happened when the computer’s clock leaps ahead, and goes on meanwhile as if it had not', () => {
    const change = vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    const run = begun()
    const { result } = renderHook(() => useRunClock(run))
    act(() => void vi.advanceTimersByTime(10_000))
    vi.setSystemTime(Date.now() + 3 * 3_600_000)
    act(() => void vi.advanceTimersByTime(5000))
    expect(result.current.question).toMatchObject({ kind: 'ahead' })
    expect(Math.abs(result.current.nowS - 15)).toBeLessThan(1)
    act(() => result.current.answer({ kind: 'clock-was-set' }))
    const mended = change.mock.calls.at(-1)?.[1](run)
    expect(Math.abs((mended?.clock.at(-1)?.runS ?? 0) - 15)).toBeLessThan(1)
  })

  it('stores the question, and a page that is opened anew asks it again and goes on from what is sure', () => {
    const change = vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    const run = { ...begun(), id: 'asked' }
    const { result, unmount } = renderHook(() => useRunClock(run))
    act(() => void vi.advanceTimersByTime(10_000))
    vi.setSystemTime(Date.now() + 3 * 3_600_000)
    act(() => void vi.advanceTimersByTime(5000))
    const stored = change.mock.calls.map(([, of]) => of(run)).find(one => one.asked)
    expect(stored?.asked).toMatchObject({ kind: 'ahead' })
    expect(Math.abs((stored?.asked?.seenS ?? 0) - 10)).toBeLessThan(1)
    expect(Math.abs(result.current.nowS - 15)).toBeLessThan(1)
    seen('asked', { runS: result.current.nowS })
    unmount()
    const again = renderHook(() => useRunClock(stored ?? run)).result
    expect(again.current.question).toMatchObject({ kind: 'ahead' })
    // Three hours would have made every hold ready.
    expect(Math.abs(again.current.nowS - 15)).toBeLessThan(2)
    act(() => again.current.answer({ kind: 'went-on' }))
    expect(change.mock.calls.at(-1)?.[1](stored ?? run).asked).toBeUndefined()
    expect(again.current.nowS).toBeGreaterThan(3 * 3600)
  })

  it('counts no time that a page was gone until it is answered', () => {
    const run = { ...begun(), id: 'gone', clock: [{ realMs: Date.now() - 50 * 60_000, runS: 0, speed: 1 }] }
    vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    seen('gone', { wallMs: Date.now() - 40 * 60_000, runS: 600 })
    const { result } = renderHook(() => useRunClock(run))
    expect(Math.abs(result.current.nowS - 600)).toBeLessThan(2)
    act(() => result.current.answer({ kind: 'went-on' }))
    expect(Math.abs(result.current.nowS - 3000)).toBeLessThan(2)
  })

  it('mends a clock that was set back without a word', () => {
    const change = vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    const run = begun()
    const { result } = renderHook(() => useRunClock(run))
    act(() => void vi.advanceTimersByTime(10_000))
    vi.setSystemTime(Date.now() - 3_600_000)
    act(() => void vi.advanceTimersByTime(250))
    expect(result.current.question).toBeNull()
    expect(Math.abs((change.mock.calls[0]?.[1](run).clock.at(-1)?.runS ?? 0) - 10)).toBeLessThan(1)
  })

  it('asks after a page that died in mid-run, not after one that was left', () => {
    const run = { ...begun(), id: 'died' }
    seen('died', { wallMs: Date.now() - 40 * 60_000, runS: 600 })
    expect(renderHook(() => useRunClock(run)).result.current.question).toMatchObject({ kind: 'away', seenS: 600 })
    seen('left', { wallMs: Date.now() - 40 * 60_000, runS: 600, left: true })
    expect(renderHook(() => useRunClock({ ...run, id: 'left' })).result.current.question).toBeNull()
  })

  it('does not ask after a page that was left while a tick was still on its way', () => {
    const run = { ...begun(), id: 'leaving' }
    const { unmount } = renderHook(() => useRunClock(run))
    act(() => void vi.advanceTimersByTime(1000))
    act(() => void dispatchEvent(new Event('pagehide')))
    act(() => void vi.advanceTimersByTime(1000))
    unmount()
    vi.setSystemTime(Date.now() + 3 * 3_600_000)
    expect(renderHook(() => useRunClock(run)).result.current.question).toBeNull()
  })

  it('of practice waits while nobody looks', () => {
    const change = vi.spyOn(store, 'changeRun').mockResolvedValue({ saved: true, problems: [] })
    const run = { ...begun(), id: 'p', mode: 'practice' as const }
    seen('p', { wallMs: Date.now() - 40 * 60_000, runS: 600 })
    renderHook(() => useRunClock(run))
    expect(change.mock.calls[0]?.[1](run).clock.at(-1)).toMatchObject({ runS: 600 })
  })
})
