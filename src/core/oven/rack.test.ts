import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rampHeading } from '../../words/oven'
import { keyIn } from './keyed-programme'
import type { Segment } from './programme'
import { arrangeRack, checkRack, type RackPacket, viewOf } from './rack'

const medium = { chamberMm: { width: 150, depth: 450 }, elements: 'sides' as const }
const packet = (id: string, thicknessMm = 2.5, lengthMm = 250): RackPacket => ({
  id,
  lengthMm,
  widthMm: 40,
  thicknessMm,
})
const codes = (warnings: ReturnType<typeof checkRack>) => warnings.map(w => w.caution.code)

describe('the rack', () => {
  it('takes six packets side by side without a word', () => {
    const six = ['A', 'B', 'C', 'D', 'E', 'F'].map(id => packet(id))
    expect(codes(checkRack(medium, six, arrangeRack(medium, six)))).toEqual([])
  })

  it('takes nine without a word too: closer, but clear of the elements at the sides', () => {
    const nine = Array.from({ length: 9 }, (_, i) => packet(`P${i}`, 2.4, 290))
    const places = arrangeRack(medium, nine)
    expect(codes(checkRack(medium, nine, places))).toEqual([])
    // Without elements there they have the room.
    const back = { ...medium, elements: 'back' as const }
    const widest = (of: typeof places) => Math.max(...of.map(p => p.acrossMm))
    expect(widest(arrangeRack(back, nine))).toBeGreaterThan(widest(places))
  })

  it('stands them symmetric about the middle, in pull order, however many go in (law)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.double({ min: 1.5, max: 5, noNaN: true }), (n, thicknessMm) => {
        const places = arrangeRack(
          medium,
          Array.from({ length: n }, (_, i) => packet(`P${i}`, thicknessMm, 290)),
        )
        const across = places.map(p => p.acrossMm)
        expect((Math.min(...across) + Math.max(...across)) / 2).toBeCloseTo(75, 6)
        expect(places.map(p => p.id)).toEqual(Array.from({ length: n }, (_, i) => `P${i}`))
        expect([...across].sort((a, b) => a - b)).toEqual(across)
      }),
    )
  })

  it('sets the last to be pulled at the back, where the chamber is deep enough', () => {
    const short = Array.from({ length: 12 }, (_, i) => packet(`P${i}`, 2, 180))
    const places = arrangeRack(medium, short)
    const at = (mark: string) => places.find(p => p.id === mark)?.inMm ?? 0
    expect(at('P0')).toBeLessThan(50)
    expect(at('P11')).toBeGreaterThan(150)
    expect(codes(checkRack(medium, short, places))).not.toContain('blocked')
  })

  it.each([
    ['outside', [packet('A', 3, 440)], [{ id: 'A', inMm: 30, acrossMm: 75 }]],
    [
      'overlap',
      [packet('A'), packet('B')],
      [
        { id: 'A', inMm: 20, acrossMm: 75 },
        { id: 'B', inMm: 40, acrossMm: 76 },
      ],
    ],
    [
      'close',
      [packet('A'), packet('B')],
      [
        { id: 'A', inMm: 20, acrossMm: 70 },
        { id: 'B', inMm: 40, acrossMm: 78 },
      ],
    ],
    ['element', [packet('A')], [{ id: 'A', inMm: 20, acrossMm: 12 }]],
    [
      'blocked',
      [packet('A', 2, 180), packet('B', 4, 180)],
      [
        { id: 'A', inMm: 230, acrossMm: 75 },
        { id: 'B', inMm: 20, acrossMm: 75 },
      ],
    ],
  ])('says what stands %s', (code, packets, places) => {
    expect(codes(checkRack(medium, packets, places))).toContain(code)
  })

  it('shades a packet the more the nearer its neighbours, and never below its floor', () => {
    const three = ['A', 'B', 'C'].map(id => packet(id))
    const view = (gap: number) =>
      viewOf('B', three, [
        { id: 'A', inMm: 20, acrossMm: 75 - gap },
        { id: 'B', inMm: 20, acrossMm: 75 },
        { id: 'C', inMm: 20, acrossMm: 75 + gap },
      ])
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 60 }), gap => {
        expect(view(gap + 5)).toBeGreaterThanOrEqual(view(gap))
        expect(view(gap)).toBeGreaterThanOrEqual(0.2)
        expect(view(gap)).toBeLessThan(1)
      }),
    )
    expect(viewOf('A', [packet('A')], [{ id: 'A', inMm: 20, acrossMm: 75 }])).toBe(1)
  })
})

describe('a programme as it is keyed', () => {
  const segments: Segment[] = [
    { purpose: { kind: 'equalise', round: 1 }, nominalC: 760, setC: 749, rateCPerH: 400, holdMin: 10 },
    {
      purpose: { kind: 'soak', hold: { holdMin: 130, lagMin: 0, soakMin: 120, pullsMin: 5, spareMin: 5 } },
      nominalC: 1066,
      setC: 1055,
      rateCPerH: null,
      holdMin: 130,
    },
  ]
  const controller = { steps: 6, ramp: 'per-hour', degrees: 'C', longestHoldMin: 60, fullPower: '9999' } as const
  const keyed = (change: object) => {
    const result = keyIn(segments, { ...controller, ...change })
    return result.ok ? result.value.map(s => [s.ramp, s.set, s.holdMin]) : result.problems[0]?.code
  }

  it('is in the controller’s own scale and way of giving a ramp', () => {
    expect(keyed({ longestHoldMin: 999 })).toEqual([
      ['400', 749, 10],
      ['9999', 1055, 130],
    ])
    expect(keyed({ longestHoldMin: 999, degrees: 'F' })).toEqual([
      ['720', 1380, 10],
      ['9999', 1931, 130],
    ])
    expect(keyed({ longestHoldMin: 999, ramp: 'per-minute' })).toEqual([
      ['6.7', 749, 10],
      ['9999', 1055, 130],
    ])
    // From 20 to 749 °C at 400 °C/h: 109 min.
    expect(keyed({ longestHoldMin: 999, ramp: 'minutes-to-target', fullPower: '0' })).toEqual([
      ['109', 749, 10],
      ['0', 1055, 130],
    ])
    expect(rampHeading({ ramp: 'per-minute', degrees: 'F' })).toBe('Rate, °F/min')
  })

  it('carries a hold longer than the controller takes on in further steps', () => {
    expect(keyed({})).toEqual([
      ['400', 749, 10],
      ['9999', 1055, 60],
      ['9999', 1055, 60],
      ['9999', 1055, 10],
    ])
  })

  it('is refused where the controller has too few steps', () => {
    expect(keyed({ steps: 3 })).toBe('too-many-steps')
  })
})
