import { useMemo, useState } from 'react'
import type { Picture } from '../../core/shop/picture'
import { useBatch, useBatchLogs, useReadings } from '../../store/hooks'
import { useRunsOf } from '../../store/run-hooks'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { certificateFonts } from '../../ui/pdf/certificate-fonts'
import { certificatePdf } from '../../ui/pdf/certificate-pdf'
import { PAPER_NAMES, type Paper } from '../../ui/pdf/fold-template-pdf'
import { SUBJECT_NAMES } from '../../words/pictures'
import { useAnswer } from '../../workers/use-answer'
import { addressPart } from '../address'
import { download } from '../download'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { CertificateSheet } from './CertificateSheet'
import { useWishedPictures } from './use-wished-pictures'

type Subject = Picture['of']

interface Props {
  readonly subjects: readonly (readonly [of: Subject, count: number])[]
  readonly wished: ReadonlySet<Subject>
  readonly onWish: (wished: ReadonlySet<Subject>) => void
}

/** Which pictures go onto the paper: none unless they are wished. */
function PictureChoice({ subjects, wished, onWish }: Props) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4 text-small">
      <legend className="text-note text-ink-2">Pictures on it</legend>
      {subjects.map(([of, count]) => (
        <label key={of} className="flex min-h-touch items-center gap-2">
          <input
            type="checkbox"
            checked={wished.has(of)}
            onChange={event =>
              onWish(new Set(event.target.checked ? [...wished, of] : [...wished].filter(one => one !== of)))
            }
          />
          {SUBJECT_NAMES[of]} ({count})
        </label>
      ))}
    </fieldset>
  )
}

export default function CertificatePlace({ batchId = addressPart(2) }) {
  return (
    <Place>
      <Certificates batchId={batchId} />
    </Place>
  )
}

/** A page a blade: as a print, as a PDF with its machine-readable copy inside, and as a file. */
function Certificates({ batchId }: { batchId: string }) {
  const shop = useShopNow()
  const batch = useBatch(batchId)
  const readings = useReadings(batchId)
  const runs = useRunsOf(batchId)
  const logs = useBatchLogs(batchId)
  const [serial, setSerial] = useState(() => new URLSearchParams(location.search).get('blade') ?? 'finished')
  const [paper, setPaper] = useState<Paper>('A4')
  const [issuedAt] = useState(() => new Date().toISOString())
  const { subjects, wished, setWished, pictures, jpegOf } = useWishedPictures(batchId)
  const answer = useAnswer(
    'certificates',
    useMemo(
      () =>
        batch && readings && runs && logs && pictures
          ? { batch, shop, readings, runs, logs, pictures, issuedAt }
          : null,
      [batch, readings, runs, logs, shop, pictures, issuedAt],
    ),
  )
  if (batch === null) return <p className="p-8">There is no such batch in this browser.</p>
  if (!batch || !answer) return <p className="p-8">Drawing up the certificates …</p>
  if (!answer.ok) return <Problems of={answer.problems} className="p-8" />
  const certificates = answer.value
  const finished = certificates.filter(c => c.finished)
  const shown =
    serial === 'finished' ? finished : serial === 'all' ? certificates : certificates.filter(c => c.serial === serial)
  const pdf = async () => {
    const bytes = await certificatePdf(shown, { paper, system: shop.units, fonts: await certificateFonts(), jpegOf })
    download(`certificates-${serial}.pdf`, 'application/pdf', bytes.slice().buffer)
  }
  return (
    <div className="mx-auto max-w-[190mm] px-4 py-6 print:p-0">
      <h1 className="no-print mb-3 text-page">Certificates of {batch.name}</h1>
      <div className="no-print mb-6 flex flex-wrap items-end gap-2">
        <SelectField
          label="Blade"
          value={serial}
          options={[
            ['finished', `finished (${finished.length})`],
            ['all', 'every blade, marked where in work'],
            ...certificates.map(c => [c.serial, `${c.blade}, ${c.serial}`] as const),
          ]}
          onCommit={setSerial}
        />
        <SelectField
          label="Paper"
          value={paper}
          options={PAPER_NAMES.map(name => [name, name] as const)}
          onCommit={setPaper}
        />
        {subjects.length > 0 && <PictureChoice subjects={subjects} wished={wished} onWish={setWished} />}
        <button type="button" className="btn btn-ember" onClick={() => void pdf()}>
          PDF
        </button>
        <button type="button" className="btn" onClick={() => print()}>
          Print
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => download('certificates.json', 'application/json', JSON.stringify(shown, null, 1))}
        >
          Machine-readable
        </button>
        <a className="btn btn-plain" href="/check">
          Check a certificate
        </a>
        <a className="btn btn-plain" href={`/batch/${batch.id}/verdict`}>
          Back to the bench
        </a>
      </div>
      {certificates.length === 0 && <p>There is no blade in this batch yet.</p>}
      {serial === 'finished' && certificates.length > 0 && finished.length === 0 && (
        <div className="no-print">
          <p>
            No blade of this batch is finished yet. Mark it so at Inspect or on its own page; or draw up papers of work
            in hand, which say that they are.
          </p>
          <button type="button" className="btn mt-3" onClick={() => setSerial('all')}>
            Show every blade
          </button>
        </div>
      )}
      {serial !== 'finished' && certificates.length > 0 && shown.length === 0 && (
        <p>No paper is drawn up of {serial}: that blade is cracked, lost, scrapped or no longer on the tray.</p>
      )}
      {shown.map(certificate => (
        <CertificateSheet key={certificate.serial} certificate={certificate} jpegOf={jpegOf} />
      ))}
    </div>
  )
}
