import DxfParser from 'dxf-parser'
import { expect, it } from 'vitest'
import { expectOk } from '../../testing/tray'
import { foldTemplate } from './template'
import { templateDxf } from './template-dxf'

const RULES = { endMm: 25, edgeMm: 10, foldMm: 9, folds: 2, gapMm: 5 } as const

// Read by a parser of DXF that others wrote.
const readOf = (text: string) => {
  const read = new DxfParser().parseSync(text)
  if (!read) throw new Error('not read')
  return read.entities as unknown as readonly {
    readonly type: string
    readonly layer: string
    readonly vertices: readonly { readonly x: number; readonly y: number }[]
  }[]
}

it('has the sheet of the design on its cutting layer, in millimetres', () => {
  const lines = readOf(templateDxf(expectOk(foldTemplate({ lengthMm: 250, widthMm: 40, thicknessMm: 3 }, RULES))))
  const cut = lines.filter(line => line.layer === 'CUT')
  expect(cut).toHaveLength(4)
  const xs = cut.flatMap(line => line.vertices.map(v => v.x))
  const ys = cut.flatMap(line => line.vertices.map(v => v.y))
  // 250 x 40 x 3 folded over the spine, 25 at the ends, 10 at the edge, twice 9 rolled: 336 x 139 (design, by hand).
  expect([Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]).toEqual([0, 336, 0, 139])
})

it('has folds, seams and the blade on layers of their own, and nothing but lines', () => {
  const template = expectOk(foldTemplate({ lengthMm: 250, widthMm: 40, thicknessMm: 3 }, RULES))
  const lines = readOf(templateDxf(template))
  const count = (layer: string) => lines.filter(line => line.layer === layer).length
  for (const kind of ['cut', 'fold', 'seam', 'blade'] as const)
    expect(count(kind.toUpperCase())).toBe(template.lines.filter(line => line.kind === kind).length)
  expect(new Set(lines.map(line => line.type))).toEqual(new Set(['LINE']))
  expect(templateDxf(template)).toMatch(/\$INSUNITS\s+70\s+4\b/)
})
