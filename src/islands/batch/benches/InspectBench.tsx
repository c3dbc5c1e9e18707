import { useState } from 'react'
import { countOf, piecesOf } from '../../../core/plan/tray'
import { warmWindow } from '../../../core/quench/inspect'
import { formatNumber, formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { NumberField } from '../../../ui/PlainFields'
import { type BenchProps, band95, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { InspectOne, InspectTable } from './inspect/InspectTable'
import { LeakField } from './inspect/LeakField'

/** Count out, look, gauge, file: each blade goes on, is straightened, or waits until it is known why. */
export function InspectBench({ batch, plan, plans, shop, go }: BenchProps) {
  const pieces = piecesOf(batch)
  const [chosen, setChosen] = useState(pieces[0]?.mark ?? '')
  const countIn = countOf(batch.blades)
  if (countIn === 0) return <EmptyTray title="Inspect" what="the count to check against" go={go} />
  const { countedOut } = batch
  const missing = countedOut === null ? 0 : countIn - countedOut
  const window = warmWindow(plan.thicknessMm, plan.prediction.martensiteStartC)
  return (
    <Bench
      title="Inspect"
      says="Count before anything else; then straightness, cracks, colour, and a skating file."
      drawing={
        <>
          <InspectTable batch={batch} plans={plans} shop={shop} chosen={chosen} onChoose={setChosen} />
          <InspectOne key={chosen} batch={batch} plans={plans} mark={chosen} />
        </>
      }
      figures={
        <>
          <div className="grid grid-cols-2 gap-4">
            <NumberField
              label={`Counted out, of ${countIn} in`}
              whole
              value={countedOut}
              min={0}
              max={3600}
              onCommit={value => void editBatch(batch, 'Counted out', b => ({ ...b, countedOut: value }))}
              onClear={() => void editBatch(batch, 'Not counted', b => ({ ...b, countedOut: null }))}
            />
            <LeakField batch={batch} />
          </div>
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
          {countedOut !== null && missing === 0 && <p className="my-2 text-good">All {countIn} are out.</p>}
          <Figure
            label="Should read as quenched"
            value={hrcText(plan.prediction.hrc.asQuenched.mean)}
            unit={`HRC ${band95(plan.prediction.hrc.asQuenched.sd)}`}
            working={plan.prediction.working}
          />
          <Figure
            label={`Can be set by hand, ${formatQuantity(plan.thicknessMm, 'length', shop.units)} in still air`}
            value={`${Math.round(window.seconds)}`}
            unit={`s, from ${formatQuantity(window.fromC, 'temperature', shop.units)} down to ${formatNumber(window.toC, 'temperature', shop.units)}`}
            working={[
              {
                name: 'Ends at a third martensite',
                value: window.toC,
                unit: '°C',
                equation: 'Ms + ln(1 − 0.35)/0.011',
                source: 'Koistinen and Marburger (1959); the share: common practice, no published source',
              },
              {
                name: 'Seconds',
                value: window.seconds,
                unit: 's',
                equation: 'lumped, bare, still air',
                source: 'docs/method.md, Plates',
              },
            ]}
            note="Above it is too soft to hold its line, below it cracks. After that: clamped flat at the first temper, or in a three-pin vice while at temper heat."
          />
          <CautionNote>
            {CAUTIONS.inspect} {DEFER}
          </CautionNote>
        </>
      }
    />
  )
}
