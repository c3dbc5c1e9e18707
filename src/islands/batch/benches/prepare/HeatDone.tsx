import { type HeatBeforeKind, heatBeforeOf, isOfHeat, takenFromHeat } from '../../../../core/batch/heat-marks'
import { bladesOf } from '../../../../core/batch/tray'
import type { Batch } from '../../../../core/shop/batch'
import { editBatch } from '../../../../store/batches'
import { HEATS, heatStandWords } from '../../../../words/day'

/** How far a heat before the hardening is, and a press that says it is over. */
export function HeatDone({ batch, kind }: { batch: Batch; kind: HeatBeforeKind }) {
  const blades = bladesOf(batch).filter(blade => isOfHeat(blade, kind))
  const heats = blades.map(blade => heatBeforeOf(batch, kind, blade.id))
  const left = heats.filter(heat => !heat?.outAt).length
  return (
    <p className="flex min-h-touch flex-wrap items-center gap-x-3">
      <span>{heatStandWords(heats)}</span>
      {left > 0 && (
        <button
          type="button"
          className="btn btn-plain"
          onClick={() => {
            const nowIso = new Date().toISOString()
            void editBatch(batch, `${HEATS[kind]}: done`, now =>
              takenFromHeat(now, { kind, bladeIds: blades.map(({ id }) => id) }, nowIso),
            )
          }}
        >
          {HEATS[kind]} is done
        </button>
      )}
    </p>
  )
}
