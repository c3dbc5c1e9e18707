import { type ComponentProps, useMemo, useState } from 'react'
import { controlCount, thingsChanged, withTrial } from '../../../../core/batch/trial'
import { neededEach, shownBy } from '../../../../core/numeric/two-means'
import { BOUNDS } from '../../../../core/shop/bounds'
import type { PlannedRoute } from '../../../../core/shop/route'
import { routeChanges } from '../../../../core/steel/compare-routes'
import { BLADE_SCATTER_HRC } from '../../../../data/edge-tests'
import { editBatch } from '../../../../store/batches'
import { Warnings } from '../../../../ui/Bench'
import { QuantityField } from '../../../../ui/QuantityField'
import { uniform } from '../../../../ui/random'
import { useSay } from '../../../../ui/Units'
import { lotWords, powerWords, twoThingsWords } from '../../../../words/trial'
import { SheetDialog } from '../../../SheetDialog'
import { undoable } from '../../../undo'
import { usePredictions } from '../../../use-predictions'
import { useBench } from '../../bench-context'
import { newId } from '../../edit'

/** Sheet for the change that a trial makes; it is open from the start. */
export default function TryChangeSheet({ button }: { readonly button: ComponentProps<'button'> }) {
  const [open, setOpen] = useState(true)
  return (
    <SheetDialog
      title="Try one change beside a control"
      open={open}
      onOpen={setOpen}
      trigger={<button type="button" {...button} />}
    >
      {open && <Change onDone={() => setOpen(false)} />}
    </SheetDialog>
  )
}

function Change({ onDone }: { onDone: () => void }) {
  const { batch, shown, blades, learnt, show } = useBench()
  const { group, grade } = shown
  const say = useSay()
  const [route, setRoute] = useState<PlannedRoute>(group.route)
  const changes = routeChanges(group.route, route)
  const things = thingsChanged(changes)
  const each = blades.filter(blade => blade.group.id === group.id).length
  const half = controlCount(batch, group.id)
  const [usual, changed] =
    usePredictions(
      useMemo(
        () => [
          { grade, route: group.route },
          { grade, route },
        ],
        [grade, group.route, route],
      ),
      learnt,
    ) ?? []
  const expectedHrc = usual && changed ? changed.finalHrc.mean - usual.finalHrc.mean : 0
  const [temper] = route.tempers
  const begin = async () => {
    const lot = { uniform }
    const { saved } = await editBatch(batch, 'A trial beside a control', now =>
      withTrial(now, group.id, route, { random: lot, newId }),
    )
    if (!saved) return
    onDone()
    show(group.id)
    undoable('The blades are drawn: scribe the marks with an X')
  }
  return (
    <div className="mt-3 space-y-3">
      <p>Change one thing. Everything else stays as it is for both halves.</p>
      <div className="grid grid-cols-3 gap-3">
        <QuantityField
          label="Soak temperature"
          value={route.austenitizeC}
          dimension="temperature"
          {...BOUNDS.austenitizeC}
          onCommit={austenitizeC => setRoute(now => ({ ...now, austenitizeC }))}
        />
        <QuantityField
          label="Soak"
          value={route.soakMin}
          dimension="duration"
          {...BOUNDS.soakMin}
          onCommit={soakMin => setRoute(now => ({ ...now, soakMin }))}
        />
        {temper && (
          <QuantityField
            label="Tempers"
            value={temper.atC}
            dimension="temperature"
            {...BOUNDS.temperC}
            onCommit={atC => setRoute(now => ({ ...now, tempers: now.tempers.map(one => ({ ...one, atC })) }))}
          />
        )}
      </div>
      {things > 1 && <Warnings lines={[{ code: 'two-things', message: twoThingsWords(changes, say) }]} />}
      {things === 1 && (
        <>
          <p className="text-small">
            {powerWords({
              each: Math.min(half, each - half),
              shownHrc: shownBy(Math.min(half, each - half), BLADE_SCATTER_HRC.asRead),
              expectedHrc,
              needed: Math.abs(expectedHrc) < 0.05 ? 1000 : neededEach(expectedHrc, BLADE_SCATTER_HRC.asRead),
            })}
          </p>
          <p className="text-small">{lotWords(half)}</p>
        </>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={onDone}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-ember"
          disabled={things !== 1 || half === 0}
          onClick={() => void begin()}
        >
          Split the batch
        </button>
      </div>
    </div>
  )
}
