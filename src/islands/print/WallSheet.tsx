import Printer from 'lucide-react/icons/printer'
import { CAUTIONS, DEFER } from '../../data/cautions'
import { STATIONS } from '../../data/stations'
import { useSay } from '../../ui/Units'
import { inUnits } from '../../words/marked'
import { labelOf } from '../../words/station-name'
import { WALL } from '../../words/wall'
import { Place } from '../Place'

export default function WallSheet() {
  return (
    <Place>
      <Sheet />
    </Place>
  )
}

/** The whole job on one page, for the wall beside the oven. */
function Sheet() {
  const say = useSay()
  return (
    <div className="mx-auto max-w-[1120px] p-6">
      <div className="no-print mb-4 flex gap-2">
        <button type="button" className="btn btn-ember" onClick={() => print()}>
          <Printer size={17} aria-hidden="true" /> Print, landscape
        </button>
        <a className="btn" href="/">
          Back to Today
        </a>
      </div>
      <h1 className="text-page">Hardening blades: the whole job</h1>
      <ol className="mt-2 grid grid-cols-2 gap-x-6 border-t-2 border-ink md:grid-cols-4 print:grid-cols-4">
        {STATIONS.map((station, i) => (
          <li key={station} className="keep-together border-b border-rule-strong py-2">
            <h2 className="text-large">
              <span className="figure mr-2 text-heading text-ember">{i + 1}</span>
              {labelOf(station)}
            </h2>
            <ul className="list-disc pl-4 text-small">
              {WALL[station].map(line => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            {CAUTIONS[station] && (
              <p className="mt-1 border-l-3 border-ember pl-2 text-note">{inUnits(CAUTIONS[station], say)}</p>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-2 text-small font-semibold">{DEFER}</p>
    </div>
  )
}
