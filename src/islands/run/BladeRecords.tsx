import type { BladeRecord } from '../../core/run/record'
import type { Batch } from '../../core/shop/batch'
import { minutesOf } from '../../core/units/time'
import { clockText, hoursText } from '../../words/clock-text'
import { INCIDENT_WORDS, incidentText } from '../../words/incidents'
import { listOf, marksOfBlades } from '../../words/lists'

/** Lists the record of the run for each blade, beside its plan. */
export function BladeRecords({ records, batch }: { records: readonly BladeRecord[]; batch: Batch }) {
  if (records.length === 0) return null
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left text-lead">
        <caption className="mb-2 text-left text-heading font-semibold">Each blade</caption>
        <thead className="text-bone-2">
          <tr>
            {[
              'Blade',
              'In the oven at',
              'Pulled at',
              'Soak planned',
              'Soak as it was',
              'Cold',
              'Tempers',
              'What happened',
            ].map(head => (
              <th key={head} scope="col" className="py-1 pr-4 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {records.map(record => (
            <tr key={record.blade.bladeId} className="border-t border-soot-rule">
              <th scope="row" className="py-1.5 pr-4">
                {marksOfBlades(batch, [record.blade.bladeId])}
              </th>
              <td className="pr-4">{record.inS === null ? 'not in' : clockText(record.inS)}</td>
              <td className="pr-4">{record.outS === null ? 'not pulled' : clockText(record.outS)}</td>
              <td className="pr-4">{record.inS === null ? '' : `${record.blade.soakMin} min`}</td>
              <td className={`pr-4 ${record.overS > 0 ? 'text-[#ff9a7c]' : ''}`}>
                {record.soakedS === null
                  ? 'not known'
                  : `${minutesOf(record.soakedS).toFixed(1)} min${record.overS > 0 ? `, ${minutesOf(record.overS).toFixed(1)} over` : ''}`}
              </td>
              <td className="pr-4">{record.coldS === null ? 'none' : `${hoursText(minutesOf(record.coldS))} h`}</td>
              <td className="pr-4">
                {record.temperS.length === 0 ? 'none' : listOf(record.temperS.map(s => `${hoursText(minutesOf(s))} h`))}
              </td>
              <td>{befell(record, batch)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

const befell = ({ incidents, gone }: BladeRecord, batch: Batch): string =>
  incidents.length > 0
    ? listOf(incidents.map(one => incidentText({ ...one, bladeIds: [] }, batch)))
    : gone
      ? INCIDENT_WORDS[gone.incident].name
      : 'nothing'
