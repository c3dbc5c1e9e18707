import { useMemo, useState } from 'react'
import { costsCsv } from '../../core/files/costs-csv'
import { attendedMinByBatch } from '../../core/run/attended'
import { useBatchesOfYear, useFirstYear } from '../../store/hooks'
import { useRunsOfSome } from '../../store/run-hooks'
import { Figure } from '../../ui/Bench'
import { CostTable } from '../../ui/CostTable'
import { day } from '../../ui/dates'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { ScrollRegion } from '../../ui/ScrollRegion'
import { useSay } from '../../ui/Units'
import { hoursWords, yearGoodWords } from '../../words/cost'
import { useAnswer } from '../../workers/use-answer'
import { download } from '../download'
import { useShopNow } from '../shop-context'

/** Shows the cost of a year's batches, by kind and by batch. */
export default function YearCostView() {
  const thisYear = new Date().getFullYear()
  const firstYear = useFirstYear() ?? thisYear
  const [year, setYear] = useState(thisYear)
  return (
    <section>
      <div className="mb-4 max-w-40">
        <SelectField
          label="Year"
          value={String(year)}
          options={Array.from({ length: thisYear - firstYear + 1 }, (_, i) => {
            const one = String(thisYear - i)
            return [one, one] as const
          })}
          onCommit={one => setYear(Number(one))}
        />
      </div>
      {/* Anew for each: figures of one year never stand under another. */}
      <CostOf key={year} year={year} />
    </section>
  )
}

function CostOf({ year }: { year: number }) {
  const say = useSay()
  const shop = useShopNow()
  const batches = useBatchesOfYear(year)
  const runs = useRunsOfSome(batches)
  const answer = useAnswer(
    'year-cost',
    useMemo(
      () => (batches && runs ? { batches: [...batches], shop, attendedMin: attendedMinByBatch(runs) } : null),
      [batches, runs, shop],
    ),
  )
  if (!answer) return <p className="py-6 text-ink-2">Adding up the batches of {year} …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const cost = answer.value
  if (cost.batches.length === 0)
    return <p className="border border-dashed border-rule-strong p-6">No batch with blades was begun in {year}.</p>
  return (
    <>
      <div className="mb-4 flex flex-wrap gap-8">
        <button
          type="button"
          className="btn self-start"
          onClick={() => download(`costs-${year}.csv`, 'text/csv', costsCsv(cost, shop.currency))}
        >
          As CSV
        </button>
        <Figure label={`Cost of ${year}`} value={say.money(cost.total)} unit={yearGoodWords(cost)} />
        <Figure label="A good blade" value={say.money(cost.perGood)} unit="with its share of what was lost" />
      </div>
      <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[360px_1fr]">
        <div>
          <CostTable columns={[{ head: String(year), costs: cost.costs, total: cost.total }]} />
          <p className="pt-2 text-small">Hours: {hoursWords(cost)}.</p>
          <p className="pt-1 text-note text-ink-2">
            At today’s prices and minutes, which are in the <a href="/workshop">Workshop</a>; foil as it was cut, else
            by the area of the packets.
          </p>
        </div>
        <ScrollRegion label="Batches of the year" className="max-h-[60vh] overflow-y-auto">
          <table className="sheet">
            <thead className="sticky top-0 bg-ash">
              <tr>
                <th>Batch</th>
                <th>Begun</th>
                <th className="!text-right">Good</th>
                <th className="!text-right">Cost</th>
                <th className="!text-right">A good blade</th>
              </tr>
            </thead>
            <tbody>
              {cost.batches.map(one => (
                <tr key={one.batchId}>
                  <td>
                    <a className="link" href={`/batch/${one.batchId}/finish`}>
                      {one.name}
                    </a>
                  </td>
                  <td>{day(one.at)}</td>
                  <td className="text-right">
                    {one.good} of {one.begun}
                  </td>
                  <td className="text-right">{say.money(one.total)}</td>
                  <td className="text-right">{one.good > 0 ? say.money(one.perGood) : 'none'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </ScrollRegion>
      </div>
    </>
  )
}
