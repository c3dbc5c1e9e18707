import { useEffect, useState } from 'react'
import type { Certificate } from '../../core/certificate/certificate'
import { codeOf, digestOf, grouped } from '../../ui/certificate-digest'
import { QrCode } from '../../ui/QrCode'

/** Shows the digest that ties the paper to its file, in text and as a code. */
export function DigestCode({ certificate }: { certificate: Certificate }) {
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
