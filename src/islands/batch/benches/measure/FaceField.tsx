import { BOUNDS } from '../../../../core/shop/bounds'
import { QuantityField } from '../../../../ui/QuantityField'

/** A round face to begin with, mm. */
const USUAL_MM = 12

/** Whether the next readings are taken on a flat or on a round face, which reads low. */
export function FaceField({ faceMm, onFace }: { faceMm: number | null; onFace: (mm: number | null) => void }) {
  return (
    <div className="ml-auto flex flex-wrap items-center gap-2">
      <label className="inline-flex min-h-touch items-center gap-2 text-small">
        <input type="checkbox" checked={faceMm !== null} onChange={e => onFace(e.target.checked ? USUAL_MM : null)} />
        on a round face
      </label>
      {faceMm !== null && (
        <div className="w-28">
          <QuantityField
            label="Its diameter"
            dimension="length"
            value={faceMm}
            {...BOUNDS.faceDiameterMm}
            onCommit={onFace}
          />
        </div>
      )}
    </div>
  )
}
