import { inflateSync } from 'node:zlib'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { foldTemplate } from '../../core/foil/template'
import { foldTemplatePdf, PAPERS } from './fold-template-pdf'

const template = (lengthMm: number) => {
  const made = foldTemplate({ lengthMm, widthMm: 40, thicknessMm: 3 }, { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 })
  if (!made.ok) throw new Error('refused')
  return made.value
}

/** Straight strokes of every page of a PDF, in mm, read from its own operators; cut lines are the 1 pt ones. */
async function strokesOf(bytes: Uint8Array) {
  const text = Buffer.from(bytes).toString('latin1')
  const streams = [...text.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)].flatMap(([, body]) => {
    try {
      return [inflateSync(Buffer.from(body as string, 'latin1')).toString('latin1')]
    } catch {
      return []
    }
  })
  const mm = (points: string | undefined) => (Number(points) * 25.4) / 72
  return streams.map(stream =>
    [...stream.matchAll(/([\d.]+) w[\s\S]*?([\d.-]+) ([\d.-]+) m\s+([\d.-]+) ([\d.-]+) l/g)]
      .filter(([, width]) => Number(width) === 1)
      .map(([, , x1, y1, x2, y2]) => Math.hypot(mm(x2) - mm(x1), mm(y2) - mm(y1))),
  )
}

describe('the printed fold template', () => {
  it('is 1:1: its cut lines and its measuring line have their true lengths', async () => {
    const short = template(150) // 236 x 139 mm: one page of A4.
    const [page] = (await strokesOf(await foldTemplatePdf(short, 'A4'))).filter(lines => lines.length > 0)
    const lengths = (page ?? []).map(l => Math.round(l * 10) / 10)
    expect(lengths.filter(l => l === 236)).toHaveLength(2)
    expect(lengths.filter(l => l === 139)).toHaveLength(2)
    expect(lengths).toContain(100)
  })

  it.each(['A4', 'Letter'] as const)('goes over several pages of %s, which together hold it', async paper => {
    const pdf = await PDFDocument.load(await foldTemplatePdf(template(250), paper))
    expect(pdf.getPageCount()).toBe(2)
    const { width, height } = pdf.getPage(0).getSize()
    expect((width * 25.4) / 72).toBeCloseTo(PAPERS[paper][0], 1)
    expect((height * 25.4) / 72).toBeCloseTo(PAPERS[paper][1], 1)
  })
})
