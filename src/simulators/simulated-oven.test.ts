import { describe, expect, it } from 'vitest'
import type { OvenEvent } from '../core/oven/controller'
import { ovenPreset } from '../core/oven/presets'
import { createSimulatedOven } from './simulated-oven'

const medium = ovenPreset('medium')
const on: OvenEvent = { atS: 0, kind: 'set', setC: 790 }
const readAfter = (events: readonly OvenEvent[], atS: number) => {
  const oven = createSimulatedOven(medium)
  oven.tell(events)
  return oven.read(atS).indicatedC
}

describe('the simulated oven', () => {
  it('reaches 790 °C in about 38 min at full power, as the wall model does, and holds it', () => {
    expect(readAfter([on], 36 * 60)).toBeLessThan(790)
    expect(readAfter([on], 41 * 60)).toBeGreaterThan(783)
    for (const min of [60, 120, 300]) expect(Math.abs(readAfter([on], min * 60) - 790)).toBeLessThan(3)
  })

  it('falls when the door opens, and comes back', () => {
    const events: OvenEvent[] = [on, { atS: 3600, kind: 'door', dropK: 70, steelInKg: 1 }]
    expect(readAfter(events, 3602)).toBeLessThan(readAfter([on], 3600) - 60)
    expect(Math.abs(readAfter(events, 5400) - 790)).toBeLessThan(3)
  })

  it('cools when it is off, slowly', () => {
    const events: OvenEvent[] = [on, { atS: 3600, kind: 'set', setC: 0 }]
    expect(readAfter(events, 2 * 3600)).toBeLessThan(600)
    expect(readAfter(events, 2 * 3600)).toBeGreaterThan(400)
  })

  it('can be another oven, from room temperature', () => {
    const events: OvenEvent[] = [on, { atS: 3600, kind: 'other-oven' }, { atS: 3600, kind: 'set', setC: 200 }]
    expect(readAfter(events, 3604)).toBeLessThan(30)
    expect(Math.abs(readAfter(events, 2 * 3600) - 200)).toBeLessThan(3)
  })

  it('takes an event it hears of late as if it had known', () => {
    const oven = createSimulatedOven(medium)
    oven.tell([on])
    oven.read(5000)
    const events: OvenEvent[] = [on, { atS: 3600, kind: 'door', dropK: 70, steelInKg: 1 }]
    oven.tell(events)
    expect(oven.read(4000).indicatedC).toBeCloseTo(readAfter(events, 4000), 6)
  })

  it('forgets an event that was taken back', () => {
    const oven = createSimulatedOven(medium)
    oven.tell([on, { atS: 3600, kind: 'door', dropK: 70, steelInKg: 1 }])
    oven.read(3700)
    oven.tell([on])
    expect(oven.read(3700).indicatedC).toBeCloseTo(readAfter([on], 3700), 6)
  })
})
