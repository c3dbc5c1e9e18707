import { describe, expect, it } from 'vitest'
import { programmeCommands, readCommand, readReading, writeCommand, writeReading } from '../core/oven/line-protocol'
import { ovenPreset } from '../core/oven/presets'
import { OVEN_BUILDS } from '../data/ovens'
import { speakOver } from '../devices/serial-port'
import { createOvenController } from './oven-controller'

const { powerW, chamberMm } = ovenPreset('medium')
const fresh = () => createOvenController({ powerW, chamberMm, build: OVEN_BUILDS.medium })
const load = (controller: ReturnType<typeof fresh>, toC = 790, holdMin = 600) => {
  for (const command of programmeCommands([{ rateCPerH: null, targetC: toC, holdMin }]))
    expect(controller.handle(writeCommand(command))).toBe('OK')
  expect(controller.handle('RUN')).toBe('OK')
}

describe('the simulated controller', () => {
  // The wall model's own full-power time, calibrated to common practice: 20 to 790 °C in 38.3 min.
  it('runs a programme it was sent, at the pace of the wall model', () => {
    const controller = fresh()
    load(controller)
    controller.advance(36 * 60)
    expect(controller.reading().shownC).toBeLessThan(790)
    controller.advance(6 * 60)
    const { shownC, step, setC } = controller.reading()
    expect(Math.abs((shownC ?? 0) - 790)).toBeLessThan(6)
    expect([step, setC]).toEqual([1, 790])
  })

  it('refuses what it cannot do, in words', () => {
    const controller = fresh()
    for (const [line, why] of [
      ['RUN', /0 of 0 steps/],
      ['PROG 99', /1 to 32/],
      ['STEP 1 FULL 900 5', /expected/],
      ['MAKE TEA', /not a command/],
    ] as const)
      expect(controller.handle(line)).toMatch(why)
    controller.handle('PROG 1')
    expect(controller.handle('STEP 1 FULL 1500 5')).toMatch(/above/)
    expect(controller.handle('RUN')).toMatch(/0 of 1/)
    load(controller)
    expect(controller.handle('PROG 1')).toMatch(/STOP/)
  })

  it('falls when the door opens, by more the longer', () => {
    const drop = (seconds: number) => {
      const controller = fresh()
      load(controller)
      controller.advance(60 * 60)
      controller.handle('DOOR OPEN')
      controller.advance(seconds)
      controller.handle('DOOR SHUT')
      controller.advance(40)
      return 790 - (controller.reading().shownC ?? 0)
    }
    expect(drop(15)).toBeGreaterThan(5)
    expect(drop(40)).toBeGreaterThan(drop(15))
  })

  it.each([
    ['THERMOCOUPLE', (c: number | null) => c === null],
    ['POWER', (c: number | null) => c !== null && c < 760],
    ['OVERSHOOT', (c: number | null) => c !== null && c > 820],
  ])('shows the fault %s as a real one would', (name, test) => {
    const controller = fresh()
    load(controller)
    controller.advance(60 * 60)
    controller.handle(`FAULT ${name}`)
    controller.advance(15 * 60)
    expect(test(controller.reading().shownC)).toBe(true)
    if (name === 'THERMOCOUPLE') expect(controller.reading().power).toBe(0)
  })

  it('climbs at half its pace on half its elements', () => {
    const whole = fresh()
    const half = fresh()
    for (const c of [whole, half]) load(c)
    half.handle('FAULT ELEMENT')
    for (const c of [whole, half]) c.advance(20 * 60)
    expect(half.reading().shownC ?? 0).toBeLessThan((whole.reading().shownC ?? 0) * 0.75)
  })
})

describe('the line protocol', () => {
  it('is read back as it was written', () => {
    const reading = {
      atS: 12.5,
      shownC: 1042.6,
      setC: 1065,
      step: 2,
      power: 0.83,
      doorOpen: false,
      fault: 'none',
    } as const
    expect(readReading(writeReading(reading))).toEqual(reading)
    expect(readReading(writeReading({ ...reading, shownC: null }))?.shownC).toBeNull()
    for (const command of programmeCommands([{ rateCPerH: 300, targetC: 760.5, holdMin: 10 }])) {
      const back = readCommand(writeCommand(command))
      expect(back.ok && back.value).toEqual(command)
    }
    for (const torn of ['READ t=1', 'READ t=1 pv=x sp=1 step=1 out=1 door=SHUT fault=NONE', ''])
      expect(readReading(torn)).toBeNull()
  })

  it('works over a cable: answers to who asked, readings to who listens, in torn pieces', async () => {
    const controller = fresh()
    let push: (text: string) => void = () => {}
    const text = new TextEncoder()
    const readable = new ReadableStream<Uint8Array>({
      start(c) {
        push = t => c.enqueue(text.encode(t))
      },
    })
    const writable = new WritableStream<Uint8Array>({
      write(bytes) {
        const reply = controller.handle(new TextDecoder().decode(bytes))
        push(`${reply.slice(0, 3)}`)
        push(`${reply.slice(3)}\n`)
      },
    })
    const port = speakOver({ readable, writable, close: async () => {} }, 'cable')
    const heard: string[] = []
    port.onLine(line => heard.push(line))
    push(`${writeReading(controller.reading())}\n`)
    expect(await port.send('ID?')).toMatch(/^ID /)
    expect(await port.send('READ?')).toMatch(/^READ /)
    expect(heard).toHaveLength(1)
    await port.close()
  })
})
