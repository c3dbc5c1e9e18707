import fc from 'fast-check'
import { svgPathProperties } from 'svg-path-properties'
import { describe, expect, it } from 'vitest'
import { TIP_SHAPES } from '../../data/outline'
import { gradeOf, groupOf, refusalOf, trayOf } from '../../testing/tray'
import { crossingOf, importOutline } from '../files/outline/import-outline'
import { notePacket, packetOf, packetsOf } from '../load/packets'
import { flipped, outlinePath } from '../rockwell/outline'
import { batchSchema } from '../shop/batch'
import { preparationOf } from './prepare'

const svg = (inner: string, head = 'width="260mm" height="60mm" viewBox="0 0 260 60"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`
const PATH = '<path d="M5 10 L180 8 Q240 12 255 34 L190 48 L95 46 L90 30 L5 28 Z"/>'
const read = (name: string, text: string) => {
  const r = importOutline(name, text)
  if (!r.ok) throw new Error(refusalOf(r))
  return r.value
}
const refusal = (text: string, name = 'blade.svg') => {
  const r = importOutline(name, text)
  return refusalOf(r)
}

describe('an outline from a drawing', () => {
  it('is measured in millimetres, in its own box', () => {
    const { lengthMm, widthMm, points } = read('blade.svg', svg(PATH))
    expect(lengthMm).toBeCloseTo(250, 1)
    expect(widthMm).toBeCloseTo(40, 0)
    for (const [x, y] of points) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(1)
      expect(y).toBeGreaterThanOrEqual(0)
      expect(y).toBeLessThanOrEqual(1)
    }
  })

  it.each([
    ['inches', 'width="10in" height="2in" viewBox="0 0 260 52"', 250 * (254 / 260)],
    ['pixels', 'width="260" height="60"', (250 * 25.4) / 96],
  ])('reads %s', (_, head, length) => {
    expect(read('b.svg', svg(PATH, head)).lengthMm).toBeCloseTo(length, 0)
  })

  it('an upright drawing is laid down, and transforms are followed', () => {
    const upright = read('b.svg', svg(`<g transform="translate(20 5) rotate(90 130 30)">${PATH}</g>`))
    expect(upright.lengthMm).toBeCloseTo(250, 0)
  })

  it('takes geometry alone: scripts, links and pictures are left out and said', () => {
    const { leftOut, lengthMm } = read(
      'b.svg',
      svg(
        `<script>alert(1)</script><image href="http://example.com/a.png"/><a href="http://example.com">${PATH}</a><g onclick="x()"></g>`,
      ),
    )
    expect(lengthMm).toBeCloseTo(250, 0)
    expect(new Map(leftOut.map(({ what, count }) => [what, count]))).toEqual(
      new Map([
        ['script', 2],
        ['outside link', 2],
        ['picture', 1],
      ]),
    )
  })

  it('says what is wrong, and where', () => {
    expect(refusal(svg('<path d="M0 0 L100 40 L100 0 L0 40 Z"/>'))).toMatch(/crosses itself \d/)
    expect(refusal(svg('<text>hello</text>'))).toMatch(/No outline was found/)
    expect(refusal(svg('<rect width="9" height="3"/>'.repeat(10_001)))).toMatch(/more than 10000 shapes/)
    expect(refusal('hello')).toMatch(/neither SVG nor DXF/)
    expect(refusal('0\nSECTION\n2\nENT', 'b.dxf')).toMatch(/cannot be read|empty|No outline/)
  })

  it('reads DXF lines and polylines, in the units of its header', () => {
    const header = '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n'
    const line = (a: number[], b: number[]) =>
      `0\nLINE\n8\n0\n10\n${a[0]}\n20\n${a[1]}\n30\n0\n11\n${b[0]}\n21\n${b[1]}\n31\n0\n`
    const box = [
      [0, 0],
      [10, 0],
      [10, 1.5],
      [0, 1.5],
    ]
    const lines = box.map((p, i) => line(p, box[(i + 1) % 4] as number[])).join('')
    const inches = read('b.dxf', `${header}0\nSECTION\n2\nENTITIES\n${lines}0\nENDSEC\n0\nEOF\n`)
    expect([inches.lengthMm, inches.widthMm]).toEqual([254, 38.1])
    const shuffled = [box[2], box[0], box[3], box[1]].map((p, i) =>
      line(p as number[], box[([3, 1, 0, 2] as const)[i] ?? 0] as number[]),
    )
    expect(read('d.dxf', `0\nSECTION\n2\nENTITIES\n${shuffled.join('')}0\nENDSEC\n0\nEOF\n`).lengthMm).toBe(10)
    const half = '0\nLWPOLYLINE\n8\n0\n90\n2\n70\n1\n10\n0\n20\n0\n42\n1\n10\n40\n20\n0\n42\n1\n'
    const circle = read('c.dxf', `0\nSECTION\n2\nENTITIES\n${half}0\nENDSEC\n0\nEOF\n`)
    expect(circle.lengthMm).toBeCloseTo(40, 0)
    expect(circle.widthMm).toBeCloseTo(40, 0)
  })

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map(d => svg(`<path d="${d}"/>`)),
        ),
        fc.constantFrom('a.svg', 'a.dxf'),
        (text, name) => {
          importOutline(name, text)
        },
      ),
      { numRuns: 200 },
    )
  })
})

describe('a drawn outline', () => {
  it.each(TIP_SHAPES)('with a %s tip fills its box and does not cross itself', tip => {
    const blade = { lengthMm: 250, widthMm: 40, outline: { kind: 'drawn' as const, tip, tangMm: 90, tangWidthMm: 18 } }
    const path = new svgPathProperties(outlinePath(blade))
    const points = Array.from({ length: 300 }, (_, i) => path.getPointAtLength((path.getTotalLength() * i) / 300)).map(
      p => [p.x, p.y] as const,
    )
    expect(Math.max(...points.map(p => p[0]))).toBeGreaterThan(248)
    expect(Math.max(...points.map(p => p[0]))).toBeLessThanOrEqual(250.01)
    expect(Math.max(...points.map(p => p[1]))).toBeLessThanOrEqual(40.01)
    expect(Math.min(...points.map(p => p[1]))).toBeGreaterThanOrEqual(-0.01)
    expect(crossingOf(points)).toBeNull()
  })

  it('turned over twice is as it was', () => {
    const points = [
      [0.1, 0.2],
      [1, 0.6],
      [0.3, 1],
    ] as const
    for (const way of ['ends', 'sides'] as const)
      flipped(flipped(points, way), way).forEach(([x, y], i) => {
        expect(x).toBeCloseTo((points[i] as readonly [number, number])[0], 9)
        expect(y).toBeCloseTo((points[i] as readonly [number, number])[1], 9)
      })
  })
})

const tray = () => trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 5 }])

describe('what to leave on a blade', () => {
  const of = (more: object, protection: 'foil' | 'bare' = 'foil') => {
    const batch = tray()
    const [line] = batch.lines
    if (!line) throw new Error('tray')
    return preparationOf({ ...line, ...more }, groupOf(batch), protection)
  }
  it('about 0.5 mm at a pre-ground edge, more skin lost bare than in foil (common practice)', () => {
    expect(of({}).edgeMm).toBe(0.5)
    expect(of({}, 'bare').skinMm).toBeGreaterThan(5 * of({}).skinMm)
    expect(of({ edgeMm: 0.4 }, 'bare').doubts.map(d => d.code)).toContain('thin-edge')
    expect(of({ edgeMm: 0.2 }).doubts.map(d => d.code)).toContain('warp')
  })
  it('a tapered tang wants a shim as thick as its taper', () => {
    expect(of({}).shimMm).toBeNull()
    expect(of({ thicknessMm: 3, tangThicknessMm: 2.2 }).shimMm).toBeCloseTo(0.8, 9)
  })
})

describe('packets', () => {
  it('hold one blade each, or as many as share an envelope, and every blade once', () => {
    const batch = tray()
    const marks = (of: typeof batch) => packetsOf(of).map(p => p.blades.map(b => b.mark))
    expect(marks(batch)).toEqual([['A1'], ['A2'], ['A3'], ['A4'], ['A5']])
    const shared = { ...batch, envelope: { ...batch.envelope, beside: 2 } }
    expect(marks(shared)).toEqual([['A1', 'A2'], ['A3', 'A4'], ['A5']])
  })

  it('a leak found later stands with its blade', () => {
    const noted = (['sealed', 'leak'] as const).reduce((batch, what) => {
      const packet = packetOf(batch, 'A3')
      if (!packet) throw new Error('packet')
      return notePacket(batch, packet, what === 'sealed' ? { sealed: true } : { leak: 'dark scale' })
    }, tray())
    expect(packetOf(noted, 'A3')).toMatchObject({ sealed: true, leak: { by: 'hand', text: 'dark scale' } })
    expect(packetOf(noted, 'A2')).toMatchObject({ sealed: false, leak: null })
    expect(batchSchema.safeParse(noted).success).toBe(true)
  })
})
