import plainUrl from 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf?url'
import boldUrl from 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf?url'
import type { CertificateFonts } from './certificate-pdf'

const bytesOf = async (url: string) => new Uint8Array(await (await fetch(url)).arrayBuffer())

/** Fonts of the application's own with Latin, Greek, Cyrillic, Armenian, Georgian, Hebrew and Arabic letters; read when a PDF is asked for. */
export const certificateFonts = async (): Promise<CertificateFonts> => {
  const [plain, bold] = await Promise.all([bytesOf(plainUrl), bytesOf(boldUrl)])
  return { plain, bold }
}
