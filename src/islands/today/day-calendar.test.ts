import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { dayCalendar } from './day-calendar'

const task = (startMin: number) => ({
  kind: 'temper-in' as const,
  load: null,
  groups: ['b~0'],
  rounds: { 'b~0': 2 },
  startMin,
  endMin: startMin + 5,
  byHelper: false,
})
const day = (nowMin = 0) => ({
  origin: new Date('2026-03-02T00:00:00Z'),
  nowMin,
  batches: [],
  answer: { plan: null, why: null, groups: [{ id: 'b~0', batchId: 'b', bladeIds: ['blade-7'] }] },
})
const made = (startMin: number, exportedAt: string, nowMin = 0) =>
  new ICAL.Component(
    ICAL.parse(dayCalendar({ tasks: [task(startMin)] }, day(nowMin), () => 'C1, C2; "A"', new Date(exportedAt))),
  )
const eventOf = (calendar: ICAL.Component) => {
  const found = calendar.getFirstSubcomponent('vevent')
  if (!found) throw new Error('no event')
  return new ICAL.Event(found)
}

// Read by a parser of RFC 5545 that others wrote.
describe('the day in a calendar', () => {
  const first = made(600, '2026-03-01T10:00:00Z')

  it('is a calendar of version 2.0, each act an event at its instant, in words that need escaping', () => {
    expect(first.getFirstPropertyValue('version')).toBe('2.0')
    const event = eventOf(first)
    expect(event.startDate.toJSDate().toISOString()).toBe('2026-03-02T10:00:00.000Z')
    expect(event.endDate.toJSDate().toISOString()).toBe('2026-03-02T10:05:00.000Z')
    expect(event.summary).toBe('C1, C2; "A" into the tempering oven')
  })

  it('keeps a line break, a backslash and a picture in a name: read back they are what they were', () => {
    const name = 'Net\nknives \\ 🔪, C1'
    const calendar = ICAL.parse(
      dayCalendar({ tasks: [task(600)] }, day(), () => name, new Date('2026-03-01T10:00:00Z')),
    )
    expect(eventOf(new ICAL.Component(calendar)).summary).toBe(`${name} into the tempering oven`)
  })

  it('rings ten minutes before', () => {
    const alarm = first.getFirstSubcomponent('vevent')?.getFirstSubcomponent('valarm')
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT10M')
    expect(alarm?.getFirstPropertyValue('action')).toBe('DISPLAY')
  })

  it('keeps an act’s id when it moves, with a higher sequence: it is moved, not doubled', () => {
    const later = made(660, '2026-03-01T11:00:00Z')
    expect(eventOf(later).uid).toBe(eventOf(first).uid)
    expect(Number(eventOf(later).sequence)).toBeGreaterThan(Number(eventOf(first).sequence))
  })

  it('leaves out what is over', () => {
    expect(made(600, '2026-03-02T10:30:00Z', 630).getAllSubcomponents('vevent')).toEqual([])
  })
})
