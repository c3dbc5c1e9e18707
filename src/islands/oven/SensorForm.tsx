import { useState } from 'react'
import type { OvenEvidence } from '../../core/oven/evidence'
import { BOUNDS } from '../../core/shop/bounds'
import { formatDifference } from '../../core/units/quantity'
import { QuantityField } from '../../ui/QuantityField'
import { newId } from '../batch/edit'
import { useShopNow } from '../shop-context'

/** A pair of readings: a better thermometer beside the oven's own. */
export function SensorForm({ onAdd }: { onAdd: (item: OvenEvidence) => void }) {
  const shop = useShopNow()
  const [shown, setShown] = useState<number | null>(null)
  const [other, setOther] = useState<number | null>(null)
  const [sdK, setSdK] = useState(2)
  const start = 1000
  return (
    <section className="space-y-2 border-t border-rule-strong pt-3">
      <h2 className="text-large">Sensor check</h2>
      <p className="text-note text-ink-2">
        When the oven has held for ten minutes, read its display and a second thermocouple whose tip is where the blades
        stand. The leads are hot: wear gauntlets, and switch the power off while anything goes in.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Oven’s display shows"
          dimension="temperature"
          value={shown ?? start}
          {...BOUNDS.displayC}
          onCommit={setShown}
        />
        <QuantityField
          label="Second thermometer shows"
          dimension="temperature"
          value={other ?? start}
          {...BOUNDS.displayC}
          onCommit={setOther}
        />
      </div>
      <label className="block">
        <span className="label">Second thermometer accurate to (one standard deviation)</span>
        <select className="field" value={sdK} onChange={event => setSdK(Number(event.target.value))}>
          {[1, 2, 4, 8].map(k => (
            <option key={k} value={k}>
              ± {formatDifference(k, shop.units).replace(/^\+/, '')}
              {k === 1 ? ', certified' : k === 4 ? ', a usual type K' : ''}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="btn"
        disabled={shown === null && other === null}
        onClick={() => {
          onAdd({
            id: newId(),
            kind: 'sensor',
            at: new Date().toISOString(),
            trueC: other ?? start,
            indicatedC: shown ?? start,
            sdK,
          })
          setShown(null)
          setOther(null)
        }}
      >
        Add the check
      </button>
    </section>
  )
}
