import type { Cut } from '../../core/foil/check-layout'
import type { Batch } from '../../core/shop/batch'
import { formatQuantity } from '../../core/units/quantity'
import { RollDrawing } from '../../ui/foil/RollDrawing'
import { useSay } from '../../ui/Units'
import { cutWords } from '../../words/cuts'
import { type Laid, useWrap } from '../batch/use-wrap'
import { useShopNow } from '../shop-context'

/** Cut list of the roll, sheet by sheet; each cut drawn where that is asked for. */
export function CutSheet({ batch, isEachCutDrawn }: { batch: Batch; isEachCutDrawn: boolean }) {
  const shop = useShopNow()
  const { lines, answer, foil, laid } = useWrap(batch)
  if (!answer?.ok || !laid) return null
  const mm = (value: number) => formatQuantity(value, 'length', shop.units)
  const plan = answer.value
  return (
    <section className="print-page">
      <h1 className="mt-6 text-title print:mt-0">{batch.name}: cut list</h1>
      <p className="mb-3 text-ink-2">
        Foil type {foil.ok ? foil.value.name : '(see the Wrap bench)'}, {mm(laid.check.usedLengthMm)} off a roll{' '}
        {mm(shop.foil.rollWidthMm)} wide. Fold over the spine; long edge and ends rolled {batch.envelope.folds} times,{' '}
        {mm(batch.envelope.foldMm)} a fold.
      </p>
      <RollDrawing
        rollWidthMm={shop.foil.rollWidthMm}
        usedLengthMm={laid.check.usedLengthMm}
        layout={laid.layout}
        cuts={laid.check.cuts}
        marks={laid.marks}
        lengthText={mm}
      />
      <table className="sheet mt-3">
        <thead>
          <tr>
            <th>Blades</th>
            <th>Sheet</th>
            <th>Count</th>
          </tr>
        </thead>
        <tbody>
          {plan.pieces.map((piece, i) => (
            <tr key={i}>
              <td>{lines[i]?.mark}</td>
              <td>
                {mm(piece.lengthMm)} × {mm(piece.widthMm)}
              </td>
              <td>{piece.count}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {isEachCutDrawn && laid.check.cuts && <CutSteps cuts={laid.check.cuts} laid={laid} mm={mm} />}
    </section>
  )
}

/** Every cut in the order it is made, each drawn with those before it. */
function CutSteps({ cuts, laid, mm }: { cuts: readonly Cut[]; laid: Laid; mm: (v: number) => string }) {
  const say = useSay()
  const { rollWidthMm } = useShopNow().foil
  return (
    <ol className="four-a-page mt-3 grid grid-cols-2 gap-x-6 gap-y-2">
      {cuts.map((cut, i) => (
        <li key={i} className="keep-together text-small">
          <strong>{i + 1}</strong> {cutWords(cut, rollWidthMm, say)}
          <RollDrawing
            rollWidthMm={rollWidthMm}
            usedLengthMm={laid.check.usedLengthMm}
            layout={laid.layout}
            cuts={cuts}
            marks={laid.marks}
            lengthText={mm}
            step={i}
          />
        </li>
      ))}
    </ol>
  )
}
