import { describe, expect, it } from 'vitest'
import { controllerOf as find } from './controller-sessions'

const HOUR_MS = 3_600_000
const controllerOf = (id: string, nowMs: number) => {
  const found = find(id, nowMs)
  if (!found) throw new Error(`${id} found no place`)
  return found
}
const begin = (id: string, nowMs: number) => {
  const controller = controllerOf(id, nowMs)
  for (const line of ['PROG 1', 'STEP 1 FULL 900 60', 'RUN']) expect(controller.handle(line)).toBe('OK')
  return controller
}

describe('the stand-ins of many pages', () => {
  it('are each their own, and go on by the clock while nobody looks', () => {
    begin('own-a', 0)
    const shown = (id: string, ms: number) => controllerOf(id, ms).reading().shownC ?? 0
    expect(shown('own-b', 600_000)).toBeCloseTo(20, 6)
    expect(shown('own-a', 600_000)).toBeGreaterThan(150)
  })

  it('run as fast as they were told', () => {
    const fast = begin('fast', 0)
    fast.handle('SPEED 600')
    expect(controllerOf('fast', 1000).reading().atS).toBeCloseTo(600, 6)
  })

  it('catch up no more than half a day at once: a laptop that slept does not hang the page', () => {
    begin('slept', 0).handle('SPEED 600')
    expect(controllerOf('slept', HOUR_MS - 1).reading().atS).toBeLessThanOrEqual(12 * 3600)
  })

  it('are forgotten after an hour, and the longest unused gives way to the thirty-third', () => {
    begin('idle', 0)
    expect(controllerOf('idle', HOUR_MS + 1).reading().step).toBe(0)
    const now = 10 * HOUR_MS
    begin('oldest', now)
    for (let i = 0; i < 32; i++) controllerOf(`crowd-${i}`, now + 61_000 + i)
    expect(controllerOf('oldest', now + 200_000).reading().step).toBe(0)
  })

  it('are never taken from who is using one: forty more are told that there is no place', () => {
    const now = 20 * HOUR_MS
    begin('in-use', now)
    const places = Array.from({ length: 40 }, (_, i) => find(`flood-${i}`, now + 1 + i))
    expect(places.filter(place => place === null).length).toBeGreaterThanOrEqual(9)
    expect(controllerOf('in-use', now + 1000).reading().step).toBe(1)
  })
})
