import { useEffect, useState } from 'react'
import type { Certificate } from '../../core/certificate/certificate'
import { codeOf, digestOf, grouped } from '../../ui/certificate-digest'
import { QrCode } from '../../ui/QrCode'
import { pictureUrl } from '../../ui/read-picture'
import { useSystem } from '../../ui/Units'
import { CERTIFICATE_METHOD, certificateLines, pictureCaption } from '../../words/certificate'
import type { JpegOf } from './use-wished-pictures'

/** Shows the digest that ties the paper to its file, in text and as a code. */
function DigestCode({ certificate }: { certificate: Certificate }) {
  const [digest, setDigest] = useState<string | null>(null)
  useEffect(() => {
    void digestOf(certificate).then(setDigest)
  }, [certificate])
  if (!digest) return null
  return (
    <div className="mt-3 flex items-center gap-4">
      <QrCode
        text={codeOf(certificate, digest)}
        label={`Code of ${certificate.serial}`}
        className="w-[24mm] shrink-0"
      />
      <p className="text-note text-ink-2">
        Digest {grouped(digest)}. With the certificate’s file, “Check a certificate” tells whether paper and file say
        the same.
      </p>
    </div>
  )
}

/** One blade's certificate as it is printed. */
export function CertificateSheet({ certificate, jpegOf }: { certificate: Certificate; jpegOf: JpegOf }) {
  const system = useSystem()
  return (
    <section className="print-page mb-10">
      <p className="text-ink-2">{certificate.shop}</p>
      <h2 className="mb-4 text-title">
        Hardness certificate, {certificate.blade}, {certificate.serial}
      </h2>
      <table className="w-full text-body">
        <tbody>
          {certificateLines(certificate, system).map(([name, value], i) =>
            value === '' ? (
              <tr key={i}>
                <th colSpan={2} scope="colgroup" className="border-t border-rule-strong pt-2 pb-1 text-left text-lead">
                  {name}
                </th>
              </tr>
            ) : (
              <tr key={i}>
                <th scope="row" className="w-[44mm] py-0.5 text-left align-top font-normal text-ink-2">
                  {name}
                </th>
                <td className="py-0.5">{value}</td>
              </tr>
            ),
          )}
        </tbody>
      </table>
      <ul className="mt-4 grid grid-cols-2 gap-4 empty:hidden">
        {certificate.pictures.map(picture => {
          const jpeg = jpegOf(picture)
          return (
            jpeg !== null && (
              <li key={picture.sha256} className="break-inside-avoid">
                <img
                  src={pictureUrl({ jpeg })}
                  alt={pictureCaption(picture)}
                  className="max-h-[75mm] w-full border border-rule object-contain"
                />
                <p className="text-note">{pictureCaption(picture)}</p>
              </li>
            )
          )
        })}
      </ul>
      <p className="mt-4 text-note text-ink-2">
        {CERTIFICATE_METHOD}. Issued {certificate.issuedAt.slice(0, 10)}.
      </p>
      <DigestCode certificate={certificate} />
    </section>
  )
}
