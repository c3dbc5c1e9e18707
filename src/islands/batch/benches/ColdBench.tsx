import { useMemo, useState } from 'react'
import { standing } from '../../../core/batch/blade-state'
import { CHILLED_WITHIN_K, chillMin } from '../../../core/cold/chill'
import { coldWay } from '../../../core/cold/way'
import { costAt } from '../../../core/cost/price'
import { chillWayOf } from '../../../core/equipment/chill-way'
import { steelKgOf } from '../../../core/load/loads'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { cautionWords } from '../../../words/cautions'
import { percentText, signedText } from '../../../words/speaker'
import { usePredictions } from '../../use-predictions'
import { useBench } from '../bench-context'
import { AirTable } from './cold/AirTable'
import { BoxView } from './cold/BoxView'
import { ColdFields } from './cold/ColdFields'
import { coldAmount } from './cold/cold-amount'
import { SchoolsView } from './cold/SchoolsView'
import { EmptyTray } from './EmptyTray'

const VIEWS = [
  ['box', 'Box and room'],
  ['schools', 'Ways compared'],
] as const

/** How long the thickest blade takes to be as cold as the freezer. */
function FreezerFigure({ toC }: { toC: number }) {
  const say = useSay()
  const { shown, shop } = useBench()
  const minutes = (fan: boolean) => wholeMinutes(chillMin({ ...chillWayOf(shown.thicknessMm, toC, shop), fan }))
  return (
    <Figure
      tone="ice"
      label={`Time for a ${say.length(shown.thicknessMm)} blade to come within ${say.d(CHILLED_WITHIN_K)} of the freezer`}
      value={minutes(false)}
      unit={`min in still air, ${minutes(true)} min with a fan`}
      note="For blades that do not touch, from room temperature. It is part of the hold: a shorter hold turns less austenite."
    />
  )
}

const wholeMinutes = (min: number) => String(Math.max(1, Math.round(min)))

/** Bench of the cold treatment: its coolant, its gas in the room, and its effect on the steel. */
export function ColdBench() {
  const say = useSay()
  const { shop, shown, blades, learnt } = useBench()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('box')
  const { route } = shown.group
  const kg = steelKgOf(standing(blades).filter(b => b.group.route.cold))
  const { grade } = shown
  const [without] =
    usePredictions(
      useMemo(() => [{ grade, route: { ...route, cold: null } }], [grade, route]),
      learnt,
    ) ?? []
  if (blades.length === 0) return <EmptyTray title="Cold" what="how much coolant it takes" />
  const gain = without ? shown.prediction.finalHrc.mean - without.finalHrc.mean : null
  const amount = route.cold ? coldAmount(route.cold, kg, shop) : null
  const cost = amount && costAt(amount.bought, shop.cold.price)
  return (
    <Bench
      title="Cold"
      says={
        route.cold
          ? `To ${formatQuantity(route.cold.toC, 'temperature', shop.units)}, hold ${formatQuantity(route.cold.holdMin, 'duration', shop.units)}, before the first temper. The thickest blade is as cold after ${wholeMinutes(chillMin(chillWayOf(shown.thicknessMm, route.cold.toC, shop)))} min.`
          : 'This route has no cold treatment.'
      }
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'schools' ? (
          <SchoolsView steelKg={steelKgOf(standing(blades))} />
        ) : (
          <>
            {route.cold && <BoxView toC={route.cold.toC} />}
            {amount && <AirTable air={amount.air} airChangesPerH={shop.cold.room.airChangesPerH} />}
          </>
        )
      }
      figures={
        <>
          {amount?.air.refused && (
            <div role="alert" className="mb-2 border-2 border-bad bg-ember-wash p-3 text-body">
              <strong className="text-bad">This cold treatment is not safe in this room. </strong>
              {amount.cautions.slice(0, 1).map(one => cautionWords(one, say))}
            </div>
          )}
          {amount && (
            <Figure
              tone="ice"
              label={amount.label}
              value={amount.value}
              unit={`${amount.unit}${cost === null ? '' : `, costs ${say.money(cost)}`}`}
              working={amount.working}
              note="The cold gas also cools the blades. That is not counted, so this amount is on the safe side."
            />
          )}
          {route.cold && coldWay(route.cold.toC) === 'freezer' && <FreezerFigure toC={route.cold.toC} />}
          <Figure
            label="What cold does to the finished blade"
            value={gain === null ? '…' : signedText(gain)}
            unit="HRC"
            working={shown.prediction.working}
          />
          <Figure
            label="Retained austenite without cold, and with it"
            term="retained"
            value={`${without ? percentText(without.retainedAustenite.final) : '…'} → ${percentText(shown.prediction.retainedAustenite.final)}`}
            unit=""
            working={shown.prediction.working}
            note="Cold changes austenite into martensite. It does not change corrosion resistance."
          />
          {amount && <Warnings lines={amount.cautions.filter(c => c.code !== 'air-refused')} />}
          {route.cold && (
            <p className="my-2 text-small">
              Afterwards let the blades warm to room temperature in still air, about 25 min. Frost is water: wipe it off
              before the blade rusts. Start the first temper within the hour.
            </p>
          )}
          <CautionNote>
            {CAUTIONS.cold} {DEFER}
          </CautionNote>
        </>
      }
      fields={view === 'box' && <ColdFields />}
    />
  )
}
