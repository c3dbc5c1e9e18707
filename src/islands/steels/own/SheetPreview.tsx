import { useMemo } from 'react'
import type { Result } from '../../../core/codes/result'
import type { SheetDraft } from '../../../core/files/own-grade/sheet-draft'
import { referenceRoute } from '../../../core/steel/route'
import { usualTargetOf } from '../../../core/steel/usual'
import { formatQuantity, formatTemperature } from '../../../core/units/quantity'
import type { Grade } from '../../../data/grades'
import { Figure, Warnings } from '../../../ui/Bench'
import { PredictedFigure } from '../../../ui/PredictedFigure'
import { useSay, useSystem } from '../../../ui/Units'
import { counted } from '../../../words/lists'
import { misfitWords } from '../../../words/steels'
import { useAnswer } from '../../../workers/use-answer'
import { usePredictions } from '../../use-predictions'

/** Previews a sheet while it is typed: a first prediction, the chart's misfit, and unreadable parts. */
export function SheetPreview({ draft, read }: { draft: SheetDraft; read: Result<Grade> }) {
  return (
    <div>
      <h2 className="text-lead">What this gives</h2>
      {read.ok ? (
        <Readout grade={read.value} />
      ) : (
        <p className="mt-1 text-small text-ink-2">
          {!draft.nominal.C
            ? 'Give it a name and a composition: carbon and chromium are enough to begin.'
            : draft.name.trim() === ''
              ? 'Give it a name.'
              : 'Something on the sheet does not fit yet; it is said beside its field when you save.'}
        </p>
      )}
    </div>
  )
}

function Readout({ grade }: { grade: Grade }) {
  const say = useSay()
  const system = useSystem()
  const suggested = useAnswer(
    'suggested-route',
    useMemo(
      () => ({ grade, target: usualTargetOf(grade), can: { coldToC: null, ovenMaxC: 1300, thicknessMm: 3, system } }),
      [grade, system],
    ),
  )
  const route = suggested?.ok ? suggested.value : null
  const [prediction] =
    usePredictions(
      useMemo(() => route && [{ grade, route }], [grade, route]),
      null,
    ) ?? []
  const found = useAnswer(
    'misfit',
    useMemo(() => ({ grade }), [grade]),
  )
  const misfit = found?.ok ? found.value : null
  if (!route || !prediction) return <p className="mt-1 text-small text-ink-2">Working it out …</p>
  return (
    <>
      <PredictedFigure
        label={`${formatTemperature(route.austenitizeC, system)}, tempered twice at ${formatTemperature(route.tempers[0]?.atC ?? 0, system)}`}
        prediction={prediction}
      />
      <Warnings lines={prediction.cautions} />
      <AsCharted grade={grade} />
      {misfit && (
        <>
          <Figure
            label="Chart and composition agree within"
            value={misfit.rmsHrc.toFixed(1)}
            unit="HRC, typical difference"
          />
          <table className="sheet text-small">
            <thead>
              <tr>
                <th>Temper</th>
                <th>Chart</th>
                <th>Composition alone</th>
                <th>Off</th>
              </tr>
            </thead>
            <tbody>
              {misfit.rows.map(row => (
                <tr key={row.temperC}>
                  <td className="!py-0.5">{formatTemperature(row.temperC, system)}</td>
                  <td className="!py-0.5">{row.chartHrc}</td>
                  <td className="!py-0.5">{row.modelHrc.toFixed(1)}</td>
                  <td className="!py-0.5">
                    {row.chartHrc >= row.modelHrc ? '+' : '−'}
                    {Math.abs(row.chartHrc - row.modelHrc).toFixed(1)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {misfit.doubt && <Warnings lines={[{ code: 'misfit', message: misfitWords(misfit.doubt, say) }]} />}
        </>
      )}
    </>
  )
}

/** The chart's first row on the chart's own route: predicted as it is charted, or the sheet was read wrong. */
function AsCharted({ grade }: { grade: Grade }) {
  const system = useSystem()
  const { chart } = grade
  const [temperC, hrc] = chart?.points[0] ?? []
  const route = chart && temperC !== undefined ? referenceRoute(chart, temperC) : null
  const [prediction] =
    usePredictions(
      useMemo(() => route && [{ grade, route }], [grade, route]),
      null,
    ) ?? []
  if (!route || !prediction || temperC === undefined) return null
  const { cold, tempers } = route
  return (
    <p className="my-2 text-small">
      On the chart’s own route ({formatTemperature(route.austenitizeC, system)}, {Math.round(route.soakMin)} min,{' '}
      {cold ? `cold at ${formatQuantity(cold.toC, 'temperature', system)}` : 'no cold'},{' '}
      {counted(tempers.length, 'temper')} at {formatQuantity(temperC, 'temperature', system)}) it is predicted at{' '}
      <strong>{prediction.finalHrc.mean.toFixed(1)} HRC</strong>; the chart says {hrc}.
    </p>
  )
}
