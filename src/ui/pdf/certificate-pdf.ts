import type { PDFPage } from 'pdf-lib'
import { create } from 'qrcode'
import type { Certificate } from '../../core/job/certificate'
import type { System } from '../../core/units/quantity'
import { CERTIFICATE_METHOD, certificateLines } from '../../words/certificate'
import { codeOf, digestOf, grouped } from '../certificate-digest'
import { PAPERS, type Paper, POINTS_PER_MM } from './fold-template-pdf'

const MARGIN_MM = 20
const LINE_MM = 6.2

/** The fonts a certificate is set in, as their files' bytes. */
export interface CertificateFonts {
  readonly plain: Uint8Array
  readonly bold: Uint8Array
}

/** A QR code of this side, drawn as squares. Source: ISO/IEC 18004, by the qrcode package. */
const CODE_MM = 26
function drawCode(
  text: string,
  { page, xMm, yMm, pt }: { page: PDFPage; xMm: number; yMm: number; pt: (mm: number) => number },
) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' })
  const side = CODE_MM / modules.size
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        page.drawRectangle({
          x: pt(xMm + column * side),
          y: pt(yMm + (modules.size - 1 - row) * side),
          width: pt(side),
          height: pt(side),
        })
}

/** One page a blade, its machine-readable copy attached. Loaded on demand: the library is large. */
export async function certificatePdf(
  certificates: readonly Certificate[],
  paper: Paper,
  system: System,
  fonts: CertificateFonts,
): Promise<Uint8Array> {
  const [{ PDFDocument, rgb }, { default: fontkit }] = await Promise.all([
    import('pdf-lib'),
    import('@pdf-lib/fontkit'),
  ])
  const pdf = await PDFDocument.create()
  pdf.setTitle('Hardness certificate')
  pdf.registerFontkit(fontkit)
  // Only the letters that are used go into the file.
  const [font, bold] = [
    await pdf.embedFont(fonts.plain, { subset: true }),
    await pdf.embedFont(fonts.bold, { subset: true }),
  ]
  const known = new Set(font.getCharacterSet())
  /** What the font has no sign for stands as a question mark; the copy inside has it as it was written. */
  const plain = (text: string) => [...text].map(sign => (known.has(sign.codePointAt(0) ?? 0) ? sign : '?')).join('')
  const [longMm, shortMm] = PAPERS[paper]
  const pt = (mm: number) => mm * POINTS_PER_MM
  for (const certificate of certificates) {
    const page = pdf.addPage([pt(shortMm), pt(longMm)])
    let yMm = longMm - MARGIN_MM
    const digest = await digestOf(certificate)
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
    for (const [name, value] of certificateLines(certificate, system)) {
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
    drawCode(codeOf(certificate, digest), { page, xMm: shortMm - MARGIN_MM - CODE_MM, yMm: MARGIN_MM, pt })
    yMm = MARGIN_MM + 8
    write(`${CERTIFICATE_METHOD}. Issued ${certificate.issuedAt.slice(0, 10)}.`, MARGIN_MM, 8)
    yMm = MARGIN_MM + 2
    write(`Digest ${grouped(digest)}`, MARGIN_MM, 8)
    await pdf.attach(new TextEncoder().encode(JSON.stringify(certificate, null, 1)), `${certificate.blade}.json`, {
      mimeType: 'application/json',
      description: 'The same certificate, machine-readable',
    })
  }
  return pdf.save({ useObjectStreams: false })
}
