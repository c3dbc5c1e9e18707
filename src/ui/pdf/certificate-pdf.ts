import type { PDFDocument, PDFFont, PDFPage } from 'pdf-lib'
import { create } from 'qrcode'
import type { Certificate, CertifiedPicture } from '../../core/certificate/certificate'
import type { System } from '../../core/units/quantity'
import { CERTIFICATE_METHOD, certificateLines, pictureCaption } from '../../words/certificate'
import { codeOf, digestOf, grouped } from '../certificate-digest'
import { PAPERS, type Paper, POINTS_PER_MM } from './fold-template-pdf'

const MARGIN_MM = 20
const LINE_MM = 6.2
/** Where the values of the table begin, from the margin. */
const VALUE_MM = 45
const CODE_MM = 26
/** How full a line is taken to be that breaks between words; an allowance of this layout. */
const FULL_LINE = 0.96
/** Kept free at the foot of each page, for the code and what it stands for. */
const FOOT_MM = MARGIN_MM + CODE_MM + 6
/** Two pictures a row, each no higher than this. */
const PICTURE = { gapMm: 8, mostMm: 75, captionMm: 12 } as const

const pt = (mm: number) => mm * POINTS_PER_MM

/** The fonts a certificate is set in, as their files' bytes. */
export interface CertificateFonts {
  readonly plain: Uint8Array
  readonly bold: Uint8Array
}

export interface CertificateLook {
  readonly paper: Paper
  readonly system: System
  readonly fonts: CertificateFonts
  /** The JPEG of a picture that a certificate names, as base64. */
  readonly jpegOf: (picture: CertifiedPicture) => string | null
}

/** A QR code of this side, drawn as squares. Source: ISO/IEC 18004, by the qrcode package. */
function drawCode(text: string, { page, xMm, yMm }: { page: PDFPage; xMm: number; yMm: number }) {
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

/**
 * A text in which no word is wider than a line: one that is goes on in the next. The writer of the file breaks between words alone.
 * `fits`: whether a text goes into a line.
 */
export const brokenToFit = (text: string, fits: (part: string) => boolean): string =>
  text
    .split(' ')
    .map(word => {
      const lines = ['']
      for (const letter of word) {
        const line = `${lines.at(-1)}${letter}`
        if (fits(line)) lines[lines.length - 1] = line
        else lines.push(letter)
      }
      return lines.join('\n')
    })
    .join(' ')

interface Setting {
  readonly pdf: PDFDocument
  readonly font: PDFFont
  readonly bold: PDFFont
  readonly longMm: number
  readonly shortMm: number
  /** Replaces what the font has no sign for by a question mark; the embedded copy keeps it as written. */
  readonly plain: (text: string) => string
}

/** Pages of one certificate, written from the top down; a further one begins where a page is full. */
function sheetsOf({ pdf, font, bold, longMm, shortMm, plain }: Setting) {
  const pages: PDFPage[] = []
  let yMm = 0
  const turn = () => {
    pages.push(pdf.addPage([pt(shortMm), pt(longMm)]))
    yMm = longMm - MARGIN_MM
  }
  const write = (
    text: string,
    xMm: number,
    size: number,
    { face = font, page = pages.at(-1), atMm = yMm, toMm = shortMm - MARGIN_MM } = {},
  ) =>
    page?.drawText(
      brokenToFit(plain(text), part => face.widthOfTextAtSize(part, size) <= pt(toMm - xMm)),
      {
        x: pt(xMm),
        y: pt(atMm),
        size,
        font: face,
        maxWidth: pt(toMm - xMm),
        lineHeight: size * 1.25,
      },
    )
  turn()
  return {
    pages,
    write,
    bold,
    widthMm: shortMm - 2 * MARGIN_MM,
    y: () => yMm,
    down: (mm: number) => {
      yMm -= mm
    },
    /** Begins a page where so much does not fit on this one. */
    room: (mm: number) => {
      if (yMm - mm < FOOT_MM) turn()
    },
    /** Lines that a text takes in a width; they break between words, so that none is quite full. */
    linesOf: (text: string, size: number, widthMm: number) =>
      Math.max(1, Math.ceil(font.widthOfTextAtSize(plain(text), size) / pt(widthMm) / FULL_LINE)),
  }
}
type Sheets = ReturnType<typeof sheetsOf>

function drawTable(
  sheets: Sheets,
  certificate: Certificate,
  system: System,
  rule: (page: PDFPage, yMm: number) => void,
) {
  for (const [name, value] of certificateLines(certificate, system)) {
    // A heading stays with the line after it.
    sheets.room(value === '' ? 3 * LINE_MM : LINE_MM)
    if (value === '') {
      sheets.down(3)
      const page = sheets.pages.at(-1)
      if (page) rule(page, sheets.y() + 6)
      sheets.write(name, MARGIN_MM, 11, { face: sheets.bold })
      sheets.down(LINE_MM)
      continue
    }
    sheets.write(name, MARGIN_MM, 10)
    sheets.write(value, MARGIN_MM + VALUE_MM, 10)
    sheets.down(LINE_MM + (sheets.linesOf(value, 10, sheets.widthMm - VALUE_MM) - 1) * 4.4)
  }
}

async function drawPictures(
  sheets: Sheets,
  certificate: Certificate,
  { pdf, jpegOf }: { readonly pdf: PDFDocument; readonly jpegOf: CertificateLook['jpegOf'] },
) {
  const found = certificate.pictures.flatMap(picture => {
    const jpeg = jpegOf(picture)
    return jpeg === null ? [] : [{ picture, jpeg }]
  })
  if (found.length === 0) return
  const wideMm = (sheets.widthMm - PICTURE.gapMm) / 2
  const images = await Promise.all(
    found.map(async ({ picture, jpeg }) => ({ caption: pictureCaption(picture), image: await pdf.embedJpg(jpeg) })),
  )
  const sizeOf = ({ image }: (typeof images)[number]) => {
    const scale = Math.min(wideMm / image.width, PICTURE.mostMm / image.height)
    return { wMm: image.width * scale, hMm: image.height * scale }
  }
  for (let i = 0; i < images.length; i += 2) {
    const row = images.slice(i, i + 2)
    const highMm = Math.max(...row.map(one => sizeOf(one).hMm))
    sheets.room((i === 0 ? 10 : 0) + highMm + PICTURE.captionMm)
    if (i === 0) {
      sheets.down(4)
      sheets.write('Pictures', MARGIN_MM, 11, { face: sheets.bold })
      sheets.down(4)
    }
    row.forEach((one, column) => {
      const xMm = MARGIN_MM + column * (wideMm + PICTURE.gapMm)
      const { wMm, hMm } = sizeOf(one)
      sheets.pages
        .at(-1)
        ?.drawImage(one.image, { x: pt(xMm), y: pt(sheets.y() - hMm), width: pt(wMm), height: pt(hMm) })
      sheets.write(one.caption, xMm, 8, { atMm: sheets.y() - highMm - 4, toMm: xMm + wideMm })
    })
    sheets.down(highMm + PICTURE.captionMm)
  }
}

/** Each blade on pages of its own, its machine-readable copy attached. Loaded on demand: the library is large. */
export async function certificatePdf(
  certificates: readonly Certificate[],
  { paper, system, fonts, jpegOf }: CertificateLook,
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
  const plain = (text: string) => [...text].map(sign => (known.has(sign.codePointAt(0) ?? 0) ? sign : '?')).join('')
  const [longMm, shortMm] = PAPERS[paper]
  const rule = (page: PDFPage, yMm: number) =>
    page.drawLine({
      start: { x: pt(MARGIN_MM), y: pt(yMm) },
      end: { x: pt(shortMm - MARGIN_MM), y: pt(yMm) },
      thickness: 0.6,
      color: rgb(0.5, 0.5, 0.5),
    })
  for (const certificate of certificates) {
    const digest = await digestOf(certificate)
    const sheets = sheetsOf({ pdf, font, bold, longMm, shortMm, plain })
    sheets.write(certificate.shop, MARGIN_MM, 11)
    sheets.down(11)
    sheets.write('Hardness certificate', MARGIN_MM, 22, { face: bold })
    sheets.down(12)
    drawTable(sheets, certificate, system, rule)
    await drawPictures(sheets, certificate, { pdf, jpegOf })
    sheets.pages.forEach((page, i) => {
      drawCode(codeOf(certificate, digest), { page, xMm: shortMm - MARGIN_MM - CODE_MM, yMm: MARGIN_MM })
      const toMm = shortMm - MARGIN_MM - CODE_MM - 4
      const { length } = sheets.pages
      if (length > 1)
        sheets.write(`${certificate.blade}, ${certificate.serial}: page ${i + 1} of ${length}`, MARGIN_MM, 8, {
          page,
          atMm: MARGIN_MM + 20,
          toMm,
        })
      sheets.write(`${CERTIFICATE_METHOD}. Issued ${certificate.issuedAt.slice(0, 10)}.`, MARGIN_MM, 8, {
        page,
        atMm: MARGIN_MM + 12,
        toMm,
      })
      sheets.write(`Digest ${grouped(digest)}`, MARGIN_MM, 8, { page, atMm: MARGIN_MM + 2, toMm })
    })
    await pdf.attach(new TextEncoder().encode(JSON.stringify(certificate, null, 1)), `${certificate.blade}.json`, {
      mimeType: 'application/json',
      description: 'The same certificate, machine-readable',
    })
  }
  return pdf.save({ useObjectStreams: false })
}
