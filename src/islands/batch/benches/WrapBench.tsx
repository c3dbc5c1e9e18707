import { countOf } from '../../../core/plan/tray'
import type { Batch } from '../../../core/record/schemas'
import { formatBoth, formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { FOIL_MARGIN_C } from '../../../data/foil'
import { editBatch } from '../../../store/batches'
import { saveShop } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { RollDrawing } from '../../../ui/drawings/RollDrawing'
import { NumberField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { useWrap } from '../use-wrap'
import type { BenchProps } from './bench-props'
import { EmptyTray } from './EmptyTray'

/** Envelope sizes, the cut plan on the roll, foil type, marks. */
export function WrapBench({ batch, shop, go }: BenchProps) {
  const { answer, foil, hottestC, marks } = useWrap(batch, shop)
  const mm = (value: number) => formatQuantity(value, 'length', shop.units)
  if (batch.blades.length === 0) return <EmptyTray title="Wrap" what="envelope sizes and a cut plan" go={go} />
  const plan = answer?.ok ? answer.value : null
  const gap = plan ? plan.usedLengthMm / plan.lowerBoundMm - 1 : 0
  const sheetArea = plan?.layout.reduce((sum, p) => sum + p.acrossMm * p.alongMm, 0) ?? 0
  const waste = plan ? 1 - sheetArea / (plan.usedLengthMm * shop.foil.rollWidthMm) : 0
  const setEnvelope = (part: Partial<Batch['envelope']>) =>
    void editBatch(batch, 'Envelope', b => ({ ...b, envelope: { ...b.envelope, ...part } }))
  return (
    <Bench
      title="Wrap"
      says="Folded over the spine, seams rolled twice. Cut across at each red line, in order."
      drawing={
        <>
          {answer && !answer.ok && <Warnings lines={answer.problems} />}
          {plan && (
            <RollDrawing
              rollWidthMm={shop.foil.rollWidthMm}
              usedLengthMm={plan.usedLengthMm}
              layout={plan.layout}
              cuts={plan.cuts}
              marks={marks}
              lengthText={mm}
            />
          )}
          {plan && (
            <table className="sheet mt-3">
              <thead>
                <tr>
                  <th>Blades</th>
                  <th>Sheet, length × width</th>
                  <th>Sheets</th>
                  <th>Scribe on each packet</th>
                </tr>
              </thead>
              <tbody>
                {plan.pieces.map((piece, i) => {
                  const blade = batch.blades[i]
                  const group = batch.groups.find(g => g.id === blade?.groupId)
                  return (
                    <tr key={blade?.id ?? i}>
                      <td>{blade?.mark}</td>
                      <td>
                        {mm(piece.lengthMm)} × {mm(piece.widthMm)}
                      </td>
                      <td>{piece.count}</td>
                      <td>
                        {blade && blade.count > 1 ? `${blade.mark}1 … ${blade.mark}${blade.count}` : blade?.mark}{' '}
                        {group?.gradeName}
                      </td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          )}
        </>
      }
      figures={
        <>
          {foil.ok ? (
            <Figure
              label={`Foil for ${formatBoth(hottestC, shop.units)}`}
              value={foil.value.name}
              unit={`stands ${formatBoth(foil.value.maxC, shop.units)}`}
              working={[
                {
                  name: 'Hottest step',
                  value: hottestC,
                  unit: '°C',
                  equation: `hottest + correction + ${FOIL_MARGIN_C} ≤ limit`,
                  source: 'limits: common practice, no published source',
                },
              ]}
            />
          ) : (
            <Warnings lines={foil.problems} />
          )}
          {plan && (
            <>
              <Figure
                label="Foil off the roll"
                value={mm(plan.usedLengthMm).split(' ').slice(0, -1).join(' ')}
                unit={`${shop.units === 'metric' ? 'mm' : 'in'}, ${Math.round(waste * 100)} % left over`}
                working={[
                  {
                    name: 'No plan can use less than',
                    value: plan.lowerBoundMm,
                    unit: 'mm',
                    equation: 'sheet area / roll width, or sheets that cannot lie side by side',
                    source: 'area bound',
                  },
                  {
                    name: 'This plan is above that by at most',
                    value: Math.round(gap * 1000) / 10,
                    unit: '%',
                    equation: 'used / bound − 1',
                    source: 'shelf placement, best of many orders',
                  },
                ]}
              />
              <Figure
                label="Cost of foil, a blade"
                value={(((plan.usedLengthMm / 1000) * shop.foil.pricePerM) / countOf(batch.blades)).toFixed(2)}
                unit={`at ${shop.foil.pricePerM} a metre`}
                working={[
                  {
                    name: 'Used length',
                    value: plan.usedLengthMm / 1000,
                    unit: 'm',
                    equation: 'length · price / blades',
                    source: 'price as set in the Workshop',
                  },
                ]}
              />
            </>
          )}
          <CautionNote>
            {CAUTIONS.wrap} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-5">
          <QuantityField
            label="Free at each end"
            dimension="length"
            value={batch.envelope.endMm}
            min={1}
            max={150}
            onCommit={endMm => setEnvelope({ endMm })}
          />
          <QuantityField
            label="Free at the edge"
            dimension="length"
            value={batch.envelope.edgeMm}
            min={1}
            max={60}
            onCommit={edgeMm => setEnvelope({ edgeMm })}
          />
          <QuantityField
            label="A fold"
            dimension="length"
            value={batch.envelope.foldMm}
            min={3}
            max={30}
            onCommit={foldMm => setEnvelope({ foldMm })}
          />
          <NumberField
            label="Folds a seam"
            whole
            value={batch.envelope.folds}
            min={1}
            max={4}
            onCommit={folds => setEnvelope({ folds })}
          />
          <QuantityField
            label="Roll width"
            dimension="length"
            value={shop.foil.rollWidthMm}
            min={100}
            max={1300}
            onCommit={rollWidthMm => void saveShop(s => ({ ...s, foil: { ...s.foil, rollWidthMm } }))}
          />
        </div>
      }
    />
  )
}
