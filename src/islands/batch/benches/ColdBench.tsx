import { dryIceFor } from '../../../core/cold/dry-ice'
import { liquidNitrogenFor } from '../../../core/cold/liquid-nitrogen'
import { bladesOf, steelKgOf } from '../../../core/plan/tray'
import { type Batch, BOUNDS, type Workshop } from '../../../core/record/schemas'
import type { Caution, WorkingLine } from '../../../core/result'
import { predict } from '../../../core/steel/predict'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { BATHS, type BathFluid } from '../../../data/cold'
import { saveShop } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { BoxDrawing } from '../../../ui/drawings/BoxDrawing'
import { NumberField, SelectField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { editGroup } from '../edit'
import { type BenchProps, percentText } from './bench-props'
import { EmptyTray } from './EmptyTray'

interface Amount {
  readonly label: string
  readonly value: string
  readonly unit: string
  readonly room: string
  readonly working: readonly WorkingLine[]
  readonly cautions: readonly Caution[]
}

/** What the cold needs, what it gives off, and what it does to the steel. */
export function ColdBench({ batch, plan, shop, go }: BenchProps) {
  const { route } = plan.group
  const kg = steelKgOf(batch.groups.filter(g => g.route.cold).flatMap(g => bladesOf(batch, g.id)))
  if (batch.blades.length === 0) return <EmptyTray title="Cold" what="how much coolant it takes" go={go} />
  const without = predict(plan.grade, { ...route, cold: null }, plan.experience)
  const gain = plan.prediction.finalHrc.mean - without.finalHrc.mean
  const amount = route.cold ? amountFor(route.cold, kg, shop) : null
  return (
    <Bench
      title="Cold"
      says={
        route.cold
          ? `To ${formatQuantity(route.cold.toC, 'temperature', shop.units)} and hold ${formatQuantity(route.cold.holdMin, 'duration', shop.units)}, straight after the quench, before the first temper.`
          : 'This route has no cold treatment.'
      }
      drawing={
        <BoxDrawing
          steelKg={kg}
          litres={shop.cold.bath.litres}
          coolantKg={amount ? Number(amount.value) : 0}
          medium={route.cold ? coldWay(route.cold.toC) : 'none'}
        />
      }
      figures={
        <>
          {amount && (
            <>
              <Figure
                tone="ice"
                label={amount.label}
                value={amount.value}
                unit={amount.unit}
                working={amount.working}
                note="The cold of the gas is not credited, so this is on the safe side."
              />
              <Figure
                label="Air in the room at the end of the chill"
                value={amount.room.split(' ')[0] ?? ''}
                unit={amount.room.split(' ').slice(1).join(' ')}
                working={amount.working}
                note="Evenly mixed. Over the box, on the floor or in a pit it is worse than this."
              />
            </>
          )}
          <Figure
            label="What cold does to the finished blade"
            value={`${gain >= 0 ? '+' : '−'}${Math.abs(gain).toFixed(1)}`}
            unit="HRC"
            working={plan.prediction.working}
          />
          <Figure
            label="Soft austenite, without and with"
            value={`${percentText(without.retainedAustenite.final)} → ${percentText(plan.prediction.retainedAustenite.final)}`}
            unit=""
            working={plan.prediction.working}
            note="Cold changes austenite into martensite. It does not change corrosion resistance."
          />
          {amount && <Warnings lines={amount.cautions} />}
          <CautionNote>
            {CAUTIONS.cold} {DEFER}
          </CautionNote>
        </>
      }
      fields={<ColdFields batch={batch} plan={plan} shop={shop} />}
    />
  )
}

const coldWay = (toC: number) => (toC > -40 ? 'freezer' : toC > -120 ? 'dry-ice' : 'liquid-nitrogen')

function amountFor(
  cold: NonNullable<Batch['groups'][number]['route']['cold']>,
  steelKg: number,
  shop: Workshop,
): Amount | null {
  const { lossWPerK, room, bath, vesselKg } = shop.cold
  const holdH = cold.holdMin / 60
  const way = coldWay(cold.toC)
  if (way === 'freezer') return null
  if (way === 'liquid-nitrogen') {
    const n = liquidNitrogenFor({ steelKg, lossWPerK, holdH, room })
    return {
      label: 'Liquid nitrogen',
      value: n.coolantL.toFixed(1),
      unit: `L: ${n.chillL.toFixed(1)} to chill, ${n.holdL.toFixed(1)} to hold`,
      room: `${n.oxygenPercent.toFixed(1)} % oxygen`,
      working: n.working,
      cautions: n.cautions,
    }
  }
  const ice = dryIceFor({ steelKg, startC: 20, bath, vesselKg, lossWPerK, holdH, room })
  const shown = formatQuantity(ice.coolantKg, 'mass', shop.units)
  return {
    label: 'Dry ice',
    value: shown.split(' ')[0] ?? '',
    unit: `${shown.split(' ')[1]}, ${ice.coolantL.toFixed(1)} L; ${formatQuantity(ice.holdKg, 'mass', shop.units)} of it to hold`,
    room: `${Math.round(ice.peakCo2Ppm / 100) * 100} ppm CO2, limit 5000 for 8 h`,
    working: ice.working,
    cautions: ice.cautions,
  }
}

/** When the cold comes, and what comes before it: both decide how much of the soft austenite it still turns. */
function ColdTiming({ batch, plan }: Pick<BenchProps, 'batch' | 'plan'>) {
  const { group } = plan
  const { cold } = group.route
  if (!cold) return null
  const set = (label: string, part: Partial<typeof cold>) =>
    void editGroup(batch, group.id, label, g => ({
      ...g,
      recipeId: null,
      route: { ...g.route, cold: g.route.cold && { ...g.route.cold, ...part } },
    }))
  return (
    <>
      <QuantityField
        label="Delay after the quench"
        dimension="duration"
        value={cold.delayMin}
        {...BOUNDS.delayMin}
        onCommit={delayMin => set('Delay before the cold', { delayMin })}
      />
      <SelectField
        label="Before it"
        value={cold.snapTemperC === undefined ? 'nothing' : 'snap'}
        options={[
          ['nothing', 'nothing'],
          ['snap', 'a snap temper, 150 °C 1 h'],
        ]}
        hint={cold.snapTemperC === undefined ? undefined : 'For shapes that crack; the cold then does less.'}
        onCommit={before => set('Snap temper', { snapTemperC: before === 'snap' ? SNAP_TEMPER_C : undefined })}
      />
    </>
  )
}

/** Low enough to relieve, too low to soften. Common practice, no published source. */
const SNAP_TEMPER_C = 150

function ColdFields({ batch, plan, shop }: Pick<BenchProps, 'batch' | 'plan' | 'shop'>) {
  const { cold } = shop
  const set = (part: Partial<Workshop['cold']>) => void saveShop(s => ({ ...s, cold: { ...s.cold, ...part } }))
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-5">
      <SelectField
        label="Bath"
        value={cold.bath.fluid}
        options={Object.entries(BATHS).map(([k, v]) => [k as BathFluid, v.label] as const)}
        onCommit={fluid => set({ bath: { ...cold.bath, fluid } })}
      />
      <NumberField
        label="Bath volume"
        unit="L"
        value={cold.bath.litres}
        min={0}
        max={60}
        onCommit={litres => set({ bath: { ...cold.bath, litres } })}
      />
      <QuantityField
        label="Vessel"
        dimension="mass"
        value={cold.vesselKg}
        min={0}
        max={40}
        onCommit={vesselKg => set({ vesselKg })}
      />
      <NumberField
        label="Room"
        unit="m³"
        value={cold.room.m3}
        min={4}
        max={5000}
        onCommit={m3 => set({ room: { ...cold.room, m3 } })}
      />
      <NumberField
        label="Air changes"
        unit="/h"
        value={cold.room.airChangesPerH}
        min={0}
        max={60}
        onCommit={airChangesPerH => set({ room: { ...cold.room, airChangesPerH } })}
      />
      <ColdTiming batch={batch} plan={plan} />
    </div>
  )
}
