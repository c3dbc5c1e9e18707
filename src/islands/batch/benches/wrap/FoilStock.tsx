import X from 'lucide-react/icons/x'
import { foilLengthOf } from '../../../../core/load/laid-foil'
import { cutFromRoll, leftOnRollMm } from '../../../../core/shop/foil-roll'
import { editBatch } from '../../../../store/batches'
import { asOne } from '../../../../store/history'
import { saveShop } from '../../../../store/records'
import { ago } from '../../../../ui/dates'
import { useSay } from '../../../../ui/Units'
import { shortRollWords } from '../../../../words/cuts'
import { marksOf } from '../../../../words/lists'
import { undoable } from '../../../undo'
import { useBench } from '../../bench-context'
import { newId } from '../../edit'
import type { WrapProps } from './wrap-props'

/** Leftovers smaller than this are not worth keeping, mm. */
const KEEP_MM = { short: 60, long: 150 }
const MOST_OFFCUTS = 60

/** Offcuts from other days, used first; and, once it is cut, the roll going down and what is left over kept. */
export function FoilStock({ wrap, mm }: WrapProps) {
  const say = useSay()
  const { batch, shop } = useBench()
  const { answer, laid } = wrap
  const offcuts = shop.foil.offcuts ?? []
  if (!answer?.ok || !laid) return null
  const used = answer.value.offcuts
  const short = shortRollWords(laid.check.usedLengthMm, leftOnRollMm(shop.foil), say)
  const usedIds = new Set(used.map(use => use.id))
  // A plan laid by hand has its own leftovers, which are not worked out.
  const left = laid.byHand
    ? []
    : answer.value.leftovers.filter(
        r => Math.min(r.acrossMm, r.alongMm) >= KEEP_MM.short && Math.max(r.acrossMm, r.alongMm) >= KEEP_MM.long,
      )
  const cut = async () => {
    const keptOffcuts = [
      ...offcuts.filter(o => !usedIds.has(o.id)),
      ...left.map(r => ({ id: newId(), widthMm: r.acrossMm, lengthMm: r.alongMm })),
    ].slice(-MOST_OFFCUTS)
    await asOne('Foil cut', async () => {
      await saveShop(s => ({
        ...s,
        foil: {
          ...cutFromRoll(s.foil, { id: newId(), mm: laid.check.usedLengthMm }),
          offcuts: keptOffcuts,
        },
      }))
      await editBatch(batch, 'Foil cut', b => ({
        ...b,
        foilCutAt: new Date().toISOString(),
        foilCutM: foilLengthOf({}, laid).metres,
      }))
    })
    undoable(`${mm(laid.check.usedLengthMm)} subtracted from the roll; ${left.length} offcuts kept`)
  }
  const drop = (id: string) =>
    void saveShop(s => ({ ...s, foil: { ...s.foil, offcuts: (s.foil.offcuts ?? []).filter(o => o.id !== id) } }))
  return (
    <div className="text-small">
      {offcuts.length > 0 && (
        <ul aria-label="Offcuts" className="flex max-h-24 flex-wrap gap-x-4 overflow-auto">
          {offcuts.map(offcut => {
            const use = used.find(u => u.id === offcut.id)
            return (
              <li key={offcut.id} className={`flex items-center gap-1 ${use ? 'font-semibold' : ''}`}>
                {mm(offcut.widthMm)} × {mm(offcut.lengthMm)}
                {use &&
                  `: ${use.layout.length} ${use.layout.length === 1 ? 'sheet' : 'sheets'} for ${marksOf([...new Set(use.layout.flatMap(p => wrap.lines[p.piece]?.mark ?? []))])}`}
                <button
                  type="button"
                  className="grid h-8 w-7 place-items-center"
                  aria-label={`Offcut ${mm(offcut.widthMm)} by ${mm(offcut.lengthMm)} is gone`}
                  onClick={() => drop(offcut.id)}
                >
                  <X size={13} aria-hidden="true" />
                </button>
              </li>
            )
          })}
        </ul>
      )}
      {batch.foilCutAt ? (
        <p className="text-ink-2">
          Cut {ago(batch.foilCutAt)}. The foil was subtracted from the roll, and the offcuts were kept.
        </p>
      ) : (
        <div className="flex flex-wrap items-center gap-x-4">
          <button
            type="button"
            className="btn"
            disabled={laid.check.cuts === null || short !== null}
            onClick={() => void cut()}
          >
            Cut: subtract from the roll
          </button>
          <p className="text-ink-2">
            {offcuts.length === 0 ? 'No offcuts in the drawer. ' : ''}
            {left.length > 0
              ? `Offcuts worth keeping: ${left
                  .slice(0, 3)
                  .map(r => `${mm(r.acrossMm)} × ${mm(r.alongMm)}`)
                  .join(', ')}${left.length > 3 ? ` and ${left.length - 3} more` : ''}.`
              : 'No offcut is worth keeping.'}
          </p>
        </div>
      )}
    </div>
  )
}
