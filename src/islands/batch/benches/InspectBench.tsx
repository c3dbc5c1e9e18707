import { useState } from 'react'
import { stateOf } from '../../../core/batch/blade-state'
import { worked } from '../../../core/codes/working'
import { warmWindow } from '../../../core/load/inspect'
import { BOUNDS } from '../../../core/shop/bounds'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { NumberField } from '../../../ui/PlainFields'
import { countedOutWords } from '../../../words/blade-state'
import { bandText, hrcText } from '../../../words/speaker'
import { useBench } from '../bench-context'
import { EmptyTray } from './EmptyTray'
import { InspectOne, InspectTable } from './inspect/InspectTable'
import { LeakField } from './inspect/LeakField'

/** Count out, look, gauge, file: each blade goes on, is straightened, or waits until it is known why. */
export function InspectBench() {
  const { batch, shown, shop, blades } = useBench()
  const [chosen, setChosen] = useState(blades[0]?.id ?? '')
  const countIn = blades.length
  if (countIn === 0) return <EmptyTray title="Inspect" what="the count to check against" />
  const { countedOut } = batch
  const lost = blades.filter(({ record }) => stateOf(record) === 'lost').length
  const out = countedOut === null ? null : countedOutWords(countIn, countedOut, lost)
  const window = warmWindow(shown.thicknessMm, shown.prediction.martensiteStartC)
  return (
    <Bench
      title="Inspect"
      says="Count the blades first. Then look for bends, cracks and colour, and try a file."
      drawing={
        <>
          <InspectTable chosen={chosen} onChoose={setChosen} />
          <InspectOne key={chosen} bladeId={chosen} />
        </>
      }
      figures={
        <>
          <div className="grid grid-cols-2 gap-4">
            <NumberField
              label={`Blades counted out, of ${countIn} in`}
              whole
              value={countedOut}
              {...BOUNDS.countedOut}
              onCommit={value => editBatch(batch, 'Counted out', b => ({ ...b, countedOut: value }))}
              onClear={() => editBatch(batch, 'Not counted', b => ({ ...b, countedOut: null }))}
            />
            <LeakField />
          </div>
          {out && out.missing !== 0 && <Warnings lines={[{ code: 'count', message: out.text }]} />}
          {out?.missing === 0 && <p className="my-2 text-good">{out.text}</p>}
          <Figure
            label="Predicted hardness as quenched"
            term="martensite"
            value={hrcText(shown.prediction.hrc.asQuenched.mean)}
            unit={`HRC ${bandText(shown.prediction.hrc.asQuenched.sd)}`}
            working={shown.prediction.working}
          />
          <Figure
            label={`Time to straighten a ${formatQuantity(shown.thicknessMm, 'length', shop.units)} blade while warm`}
            value={`${Math.round(window.seconds)}`}
            unit={`s in still air, from ${formatQuantity(window.fromC, 'temperature', shop.units)} down to ${formatQuantity(window.toC, 'temperature', shop.units)}`}
            working={[worked('third-martensite', window.toC, 'C', {}), worked('warm-seconds', window.seconds, 's', {})]}
            note="Hotter than this it bends again; colder, it cracks. Later, straighten it clamped flat in the first temper, or in a three-pin vice at temper heat."
          />
          <CautionNote>
            {CAUTIONS.inspect} {DEFER}
          </CautionNote>
        </>
      }
    />
  )
}
