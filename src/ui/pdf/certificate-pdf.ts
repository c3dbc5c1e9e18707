import type { Certificate, MeasuredHold } from '../../core/record/certificate'
import { PAPERS, type Paper, POINTS_PER_MM } from './fold-template-pdf'

const MARGIN_MM = 20
const LINE_MM = 6.2

/** Lines of a certificate as they are printed: name and value; a name alone is a heading. */
export function certificateLines(c: Certificate): readonly (readonly [name: string, value: string])[] {
  const saw = (hold: MeasuredHold | null | undefined) =>
    hold ? `; logged: ${hold.heldMin} min at a mean of ${Math.round(hold.meanC)} °C` : ''
  const both = (celsius: number) => `${Math.round(celsius)} °C (${Math.round(celsius * 1.8 + 32)} °F)`
  return [
    ['Blade', `${c.blade} of ${c.batch}`],
    ['Steel', `${c.grade}${c.lot ? `, lot ${c.lot}` : ''}`],
    ['Size', `${c.sizeMm.length} x ${c.sizeMm.width} x ${c.sizeMm.thickness} mm`],
    ['Route', ''],
    [
      'Austenitized',
      `${both(c.route.austenitizeC)}, ${Math.round(c.route.soakMin)} min at heat, in ${c.oven}${saw(c.measured.heat)}`,
    ],
    ['Cold', c.route.cold ? `${both(c.route.cold.toC)}, ${c.route.cold.holdMin} min` : 'none'],
    ...c.route.tempers.map(
      (t, i) => [`Temper ${i + 1}`, `${both(t.atC)}, ${t.holdMin} min${saw(c.measured.tempers[i])}`] as const,
    ),
    ...(c.happened.length > 0
      ? ([
          [c.practice ? 'As it was practised' : 'As it happened', ''],
          ...c.happened.slice(0, 12).map(e => [e.at.slice(0, 16).replace('T', ' '), e.what] as const),
        ] as const)
      : []),
    ['Hardness', ''],
    ...c.hardness.map(
      h =>
        [
          h.stage,
          `${h.hrc.toFixed(1)} HRC ± ${h.u95.toFixed(1)} (readings ${h.readings.join(', ')}${h.roundFace ? ', corrected for a round face' : ''}${h.corrected ? ', corrected by the block' : ''}${h.uncheckedTester ? '; tester not checked that day' : ''})`,
        ] as const,
    ),
    ...(c.hardness.length === 0 ? ([['', 'not read']] as const) : []),
    [
      'Aim',
      `${c.target.min} to ${c.target.max} HRC${c.inTargetProbability === null ? '' : `; chance it is in it ${Math.round(100 * c.inTargetProbability)} %`}`,
    ],
  ]
}

/** What the standard fonts cannot write, written so that they can. */
const plain = (text: string) =>
  text.replace(
    /[^\u0020-\u007e\u00a0-\u00ff]/g,
    sign =>
      ({ '−': '-', '–': '-', '’': "'", '“': '"', '”': '"', '₂': '2' })[sign] ??
      (sign.normalize('NFD').replace(/[^\u0020-\u007e]/g, '') || '?'),
  )

/** One page a blade, its machine-readable copy attached. Loaded on demand: the library is large. */
export async function certificatePdf(certificates: readonly Certificate[], paper: Paper): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts, rgb } = await import('pdf-lib')
  const pdf = await PDFDocument.create()
  pdf.setTitle('Hardness certificate')
  const [font, bold] = [await pdf.embedFont(StandardFonts.Helvetica), await pdf.embedFont(StandardFonts.HelveticaBold)]
  const [longMm, shortMm] = PAPERS[paper]
  const pt = (mm: number) => mm * POINTS_PER_MM
  for (const certificate of certificates) {
    const page = pdf.addPage([pt(shortMm), pt(longMm)])
    let yMm = longMm - MARGIN_MM
    const write = (text: string, xMm: number, size: number, face = font) =>
      page.drawText(plain(text), {
        x: pt(xMm),
        y: pt(yMm),
        size,
        font: face,
        maxWidth: pt(shortMm - MARGIN_MM - xMm),
        lineHeight: size * 1.25,
      })
    write(certificate.shop, MARGIN_MM, 11)
    yMm -= 11
    write('Hardness certificate', MARGIN_MM, 22, bold)
    yMm -= 12
    for (const [name, value] of certificateLines(certificate)) {
      if (value === '') {
        yMm -= 3
        page.drawLine({
          start: { x: pt(MARGIN_MM), y: pt(yMm + 6) },
          end: { x: pt(shortMm - MARGIN_MM), y: pt(yMm + 6) },
          thickness: 0.6,
          color: rgb(0.5, 0.5, 0.5),
        })
        write(name, MARGIN_MM, 11, bold)
      } else {
        write(name, MARGIN_MM, 10)
        write(value, MARGIN_MM + 45, 10)
      }
      // A long value takes a second line.
      yMm -= font.widthOfTextAtSize(plain(value), 10) > pt(shortMm - 2 * MARGIN_MM - 45) ? LINE_MM + 4.4 : LINE_MM
    }
    yMm = MARGIN_MM + 8
    write(`${certificate.method}. Issued ${certificate.issuedAt.slice(0, 10)}.`, MARGIN_MM, 8)
    await pdf.attach(new TextEncoder().encode(JSON.stringify(certificate, null, 1)), `${certificate.blade}.json`, {
      mimeType: 'application/json',
      description: 'The same certificate, machine-readable',
    })
  }
  return pdf.save({ useObjectStreams: false })
}
