import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { writeReading } from '../core/oven/line-protocol'
import { openController } from './controller-session'
import { createListeners, type LinePort } from './line-port'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

/** A device that says what the test has it say. */
function device(answer: (line: string) => string | Error = () => 'OK') {
  const listeners = createListeners()
  const sent: string[] = []
  const port: LinePort = {
    name: 'Test device',
    async send(line) {
      sent.push(line)
      const reply = answer(line)
      if (reply instanceof Error) throw reply
      return reply
    },
    onLine: listeners.add,
    close: async () => undefined,
  }
  const say = (atS: number, shownC: number | null) =>
    listeners.tell(writeReading({ atS, shownC, setC: 1065, step: 1, power: 1, doorOpen: false, fault: 'none' }))
  return { port, sent, say, listeners }
}

describe('a controller that is listened to', () => {
  it('samples what it shows, leaves out a broken thermocouple and torn lines, and starts again with its clock', () => {
    const { port, say } = device()
    const session = openController(port, false)
    say(0, 20)
    say(60, 40)
    say(120, null)
    expect(session.state()).toMatchObject({
      reading: { shownC: null },
      samples: [
        [0, 20],
        [1, 40],
      ],
    })
    say(3, 55)
    expect(session.state().samples).toEqual([[0.05, 55]])
  })

  it('says when it falls silent, and takes that back when it is heard again', () => {
    const { port, say } = device()
    const session = openController(port, false)
    say(0, 900)
    vi.advanceTimersByTime(10_000)
    expect(session.state().trouble).toBeNull()
    vi.advanceTimersByTime(10_000)
    expect(session.state().trouble).toMatchObject({ code: 'silent' })
    say(21, 880)
    expect(session.state().trouble).toBeNull()
  })

  it('stops at the first refusal and gives its words; a dead cable is said too', async () => {
    const refusing = device(line => (line.startsWith('STEP 1') ? 'ERR 1310 C is above 1300 C' : 'OK'))
    const session = openController(refusing.port, false)
    const step = { rateCPerH: null, targetC: 1310, holdMin: 10 }
    expect(await session.send([{ kind: 'begin', steps: 1 }, { kind: 'step', number: 1, step }, { kind: 'run' }])).toBe(
      false,
    )
    expect(refusing.sent).toEqual(['PROG 1', 'STEP 1 FULL 1310 10'])
    expect(session.state().trouble).toMatchObject({
      code: 'refused',
      reply: expect.stringContaining('1310 C is above 1300 C'),
    })
    const dead = openController(device(() => new Error('gone')).port, false)
    expect(await dead.send([{ kind: 'run' }])).toBe(false)
    expect(dead.state().trouble).toEqual({ code: 'no-answer' })
    const standIn = openController(device(() => new Error('gone')).port, true)
    expect(await standIn.send([{ kind: 'run' }])).toBe(false)
    expect(standIn.state().trouble).toEqual({ code: 'no-server' })
  })

  it('takes an answer that is not OK for a refusal, and counts readings no oven can mean', async () => {
    const odd = device(line => (line.startsWith('PROG') ? 'PROGRAM' : 'OK'))
    const session = openController(odd.port, false)
    expect(await session.send([{ kind: 'begin', steps: 1 }, { kind: 'run' }])).toBe(false)
    expect(odd.sent).toEqual(['PROG 1'])
    expect(session.state().trouble).toEqual({ code: 'refused', reply: 'PROGRAM' })
    const { listeners, port } = odd
    const listening = openController(port, false)
    for (const line of [
      'READ t=1 pv=1..2 sp=20 step=1 out=0.50 door=SHUT fault=NONE',
      'READ t=... pv=20 sp=20 step=1 out=0.50 door=SHUT fault=NONE',
      'READ t=1 pv=99999 sp=20 step=1 out=0.50 door=SHUT fault=NONE',
      'READ t=1 pv=20 sp=20 step=1 out=7 door=SHUT fault=NONE',
      'READ t=1 pv=',
    ])
      listeners.tell(line)
    expect(listening.state()).toMatchObject({ reading: null, samples: [], garbled: 5 })
  })

  it('keeps its log up while it is heard, once more on closing, and never writes a new programme over it', async () => {
    const { port, say } = device()
    const session = openController(port, false)
    const kept: number[] = []
    const save = async (points: readonly unknown[]) => {
      kept.push(points.length)
      return true
    }
    expect(await session.keep(save)).toBe(false)
    for (let s = 0; s <= 60; s++) {
      say(s, 20 + s)
      if (s === 5) expect(await session.keep(save)).toBe(true)
      vi.advanceTimersByTime(1000)
    }
    expect(kept).toEqual([6, 36])
    say(0, 80)
    expect(session.state().keeping).toBe(false)
    say(1, 81)
    await session.close()
    expect(kept).toEqual([6, 36])
  })

  it('does not say a log is kept that could not be written', async () => {
    const { port, say } = device()
    const session = openController(port, false)
    say(0, 20)
    say(1, 21)
    expect(await session.keep(async () => false)).toBe(false)
    expect(session.state().keeping).toBe(false)
  })
})
