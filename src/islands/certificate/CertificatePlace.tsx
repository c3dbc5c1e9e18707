import { useMemo, useState } from 'react'
import { piecesOf } from '../../core/plan/tray'
import { certificateOf } from '../../core/record/certificate'
import type { Workshop } from '../../core/record/schemas'
import { useBatch, useBatchLogs, useReadings, useRunsOf } from '../../store/hooks'
import { certificateLines, certificatePdf } from '../../ui/pdf/certificate-pdf'
import type { Paper } from '../../ui/pdf/fold-template-pdf'
import { Place } from '../Place'
import { download } from '../save-everything'

export default function CertificatePlace({ batchId }: { batchId: string }) {
  return <Place>{shop => <Certificates batchId={batchId} shop={shop} />}</Place>
}

/** A page a blade: as a print, as a PDF with its machine-readable copy inside, and as a file. */
function Certificates({ batchId, shop }: { batchId: string; shop: Workshop }) {
  const batch = useBatch(batchId)
  const readings = useReadings(batchId)
  const runs = useRunsOf(batchId)
  const logs = useBatchLogs(batchId)
  const [mark, setMark] = useState('all')
  const [paper, setPaper] = useState<Paper>('A4')
  const [issuedAt] = useState(() => new Date().toISOString())
  const certificates = useMemo(
    () =>
      batch && readings && runs && logs
        ? piecesOf(batch).flatMap(piece => certificateOf(batch, piece.mark, shop, readings, runs, logs, issuedAt) ?? [])
        : [],
    [batch, readings, runs, logs, shop, issuedAt],
  )
  if (batch === undefined || !readings || !runs || !logs) return <p className="p-8">Reading …</p>
  if (!batch) return <p className="p-8">There is no such batch in this browser.</p>
  const shown = mark === 'all' ? certificates : certificates.filter(c => c.blade === mark)
  const pdf = async () => {
    const bytes = await certificatePdf(shown, paper)
    download(`certificates-${mark === 'all' ? 'all' : mark}.pdf`, 'application/pdf', bytes.slice().buffer)
  }
  return (
    <div className="mx-auto max-w-[190mm] px-4 py-6 print:p-0">
      <div className="no-print mb-6 flex flex-wrap items-end gap-2">
        <label>
          <span className="label">Blade</span>
          <select className="field w-40" value={mark} onChange={event => setMark(event.target.value)}>
            <option value="all">every blade</option>
            {certificates.map(c => (
              <option key={c.blade} value={c.blade}>
                {c.blade}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="label">Paper</span>
          <select
            className="field w-28"
            value={paper}
            onChange={event => setPaper(event.target.value === 'Letter' ? 'Letter' : 'A4')}
          >
            <option>A4</option>
            <option>Letter</option>
          </select>
        </label>
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
        <a className="btn btn-plain" href={`/batch/${batch.id}/verdict`}>
          Back to the bench
        </a>
      </div>
      {certificates.length === 0 && <p>There is no blade in this batch yet.</p>}
      {shown.map(certificate => (
        <section key={certificate.blade} className="print-page mb-10">
          <p className="text-ink-2">{certificate.shop}</p>
          <h1 className="mb-4 text-[24px]">Hardness certificate, {certificate.blade}</h1>
          <table className="w-full text-[14px]">
            <tbody>
              {certificateLines(certificate).map(([name, value], i) =>
                value === '' ? (
                  <tr key={i}>
                    <th
                      colSpan={2}
                      scope="colgroup"
                      className="border-t border-rule-strong pt-2 pb-1 text-left text-[15px]"
                    >
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
          <p className="mt-4 text-[12.5px] text-ink-2">
            {certificate.method}. Issued {certificate.issuedAt.slice(0, 10)}.
          </p>
        </section>
      ))}
    </div>
  )
}
