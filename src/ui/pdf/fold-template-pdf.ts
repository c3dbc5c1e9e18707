import type { FoldTemplate, TemplateLine } from '../../core/foil/template'

/** PDF points to the millimetre. */
export const POINTS_PER_MM = 72 / 25.4
export const PAPERS = { A4: [297, 210], Letter: [279.4, 215.9] } as const
export type Paper = keyof typeof PAPERS
export const PAPER_NAMES = Object.keys(PAPERS) as readonly Paper[]

/** Printers leave this much white at the edge; neighbouring pages share as much again to glue, mm. */
const MARGIN_MM = 8
const OVERLAP_MM = 10
const DASH_MM: Readonly<Record<TemplateLine['kind'], number[]>> = {
  cut: [],
  fold: [6, 3],
  seam: [1.5, 2],
  blade: [0.5, 2.5],
}

/**
 * A fold template as a PDF at 1:1, on as many sheets of paper as it takes, each with a 100 mm line to measure the printer
 * by. Loaded on demand: the library is large.
 */
export async function foldTemplatePdf(template: FoldTemplate, paper: Paper): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts, rgb } = await import('pdf-lib')
  const pdf = await PDFDocument.create()
  pdf.setTitle('Fold template, 1:1')
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const [paperW, paperH] = PAPERS[paper]
  const [usableW, usableH] = [paperW - 2 * MARGIN_MM, paperH - 2 * MARGIN_MM - 12]
  const columns = Math.max(1, Math.ceil((template.lengthMm - OVERLAP_MM) / (usableW - OVERLAP_MM)))
  const rows = Math.max(1, Math.ceil((template.widthMm - OVERLAP_MM) / (usableH - OVERLAP_MM)))
  const pt = (mm: number) => mm * POINTS_PER_MM
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const page = pdf.addPage([pt(paperW), pt(paperH)])
      const [left, top] = [column * (usableW - OVERLAP_MM), row * (usableH - OVERLAP_MM)]
      const inside = { x0: left, x1: left + usableW, y0: top, y1: top + usableH }
      const at = (x: number, y: number) => ({ x: pt(MARGIN_MM + x - left), y: pt(paperH - MARGIN_MM - (y - top)) })
      for (const line of template.lines) {
        const clipped = clip(line, inside)
        if (!clipped) continue
        page.drawLine({
          start: at(clipped.x1, clipped.y1),
          end: at(clipped.x2, clipped.y2),
          thickness: line.kind === 'cut' ? 1 : 0.5,
          color: rgb(0, 0, 0),
          ...(DASH_MM[line.kind].length > 0 ? { dashArray: DASH_MM[line.kind].map(pt) } : {}),
        })
      }
      page.drawLine({
        start: { x: pt(MARGIN_MM), y: pt(MARGIN_MM) },
        end: { x: pt(MARGIN_MM + 100), y: pt(MARGIN_MM) },
        thickness: 1,
      })
      page.drawText(
        `This line is 100 mm: print at 100 %, not "fit". ${template.lengthMm} x ${template.widthMm} mm${columns * rows > 1 ? `, page ${row * columns + column + 1} of ${columns * rows}, lay over by ${OVERLAP_MM} mm` : ''}`,
        { x: pt(MARGIN_MM), y: pt(MARGIN_MM + 2), size: 8, font },
      )
    }
  return pdf.save({ useObjectStreams: false })
}

/** The part of an upright or level line inside a page. */
function clip(line: TemplateLine, { x0, x1, y0, y1 }: { x0: number; x1: number; y0: number; y1: number }) {
  const within = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v))
  const clipped = {
    x1: within(line.x1, x0, x1),
    x2: within(line.x2, x0, x1),
    y1: within(line.y1, y0, y1),
    y2: within(line.y2, y0, y1),
  }
  const level = line.y1 === line.y2
  const seen = level
    ? line.y1 >= y0 && line.y1 <= y1 && clipped.x1 !== clipped.x2
    : line.x1 >= x0 && line.x1 <= x1 && clipped.y1 !== clipped.y2
  return seen ? clipped : null
}
