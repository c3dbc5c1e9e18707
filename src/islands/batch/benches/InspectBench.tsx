import { countOf, piecesOf } from '../../../core/plan/tray'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { TrayDrawing } from '../../../ui/drawings/TrayDrawing'
import { NumberField } from '../../../ui/PlainFields'
import { type BenchProps, band95, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { LeakField } from './inspect/LeakField'

/** Count out, look, first hardness: go or no go. */
export function InspectBench({ batch, plan, go }: BenchProps) {
  const countIn = countOf(batch.blades)
  if (countIn === 0) return <EmptyTray title="Inspect" what="the count to check against" go={go} />
  const { countedOut } = batch
  const missing = countedOut === null ? 0 : countIn - countedOut
  return (
    <Bench
      title="Inspect"
      says="Count before anything else; then straightness, cracks, colour, and a skating file."
      drawing={<TrayDrawing rows={batch.blades} />}
      figures={
        <>
          <Figure
            label="Counted in"
            value={String(countIn)}
            unit={`: ${piecesOf(batch)
              .map(p => p.mark)
              .slice(0, 12)
              .join(' ')}${countIn > 12 ? ' …' : ''}`}
          />
          <Figure
            label="Should read as quenched"
            value={hrcText(plan.prediction.hrc.asQuenched.mean)}
            unit={`HRC ${band95(plan.prediction.hrc.asQuenched.sd)}`}
            working={plan.prediction.working}
          />
          {missing > 0 && (
            <Warnings
              lines={[
                {
                  code: 'missing',
                  message: `${missing} ${missing === 1 ? 'blade is' : 'blades are'} missing: look in the oven, between the plates and on the floor before going on.`,
                },
              ]}
            />
          )}
          {missing < 0 && (
            <Warnings
              lines={[
                { code: 'extra', message: 'More out than in: count again, and look for a blade of another batch.' },
              ]}
            />
          )}
          {countedOut !== null && missing === 0 && <p className="mt-2 text-good">All {countIn} are out.</p>}
          <CautionNote>
            {CAUTIONS.inspect} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <div className="grid gap-6 sm:grid-cols-[200px_1fr]">
          <div className="space-y-3">
            <NumberField
              label="Counted out"
              whole
              value={countedOut ?? 0}
              min={0}
              max={3600}
              onCommit={value => void editBatch(batch, 'Counted out', b => ({ ...b, countedOut: value }))}
            />
            <LeakField batch={batch} />
          </div>
          <ul className="list-disc space-y-1 pl-5 text-[13.5px]">
            <li>
              A file skates on the spine: it hardened (about 60 HRC and up). It bites: soft, stop and find out why
              before the temper.
            </li>
            <li>Dark, flaky scale on one blade alone: its packet leaked. Its skin has lost carbon; note its mark.</li>
            <li>Bent: below about 200 °C it can still be set between the plates by hand; cold, it snaps.</li>
          </ul>
        </div>
      }
    />
  )
}
