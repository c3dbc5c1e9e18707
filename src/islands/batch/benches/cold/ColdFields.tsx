import { withRoute } from '../../../../core/batch/route-edit'
import { coldWay } from '../../../../core/cold/way'
import type { BatchGroup } from '../../../../core/shop/batch'
import { BOUNDS } from '../../../../core/shop/bounds'
import type { Workshop } from '../../../../core/shop/workshop'
import { BATHS, type BathFluid } from '../../../../data/cold'
import { SNAP_TEMPER_C } from '../../../../data/delays'
import { saveShop } from '../../../../store/records'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { ScaledField } from '../../../../ui/ScaledField'
import { useSay } from '../../../../ui/Units'
import { useBench } from '../../bench-context'
import { editGroup } from '../../edit'

/** When the cold comes, and what comes before it: both decide how much of the retained austenite it still turns. */
function ColdTiming() {
  const { batch, shown } = useBench()
  const say = useSay()
  const { group } = shown
  const { cold } = group.route
  if (!cold) return null
  const set = (label: string, part: Partial<NonNullable<BatchGroup['route']['cold']>>) =>
    editGroup(batch, group.id, label, g =>
      withRoute(g, { ...g.route, cold: g.route.cold && { ...g.route.cold, ...part } }),
    )
  return (
    <>
      <QuantityField
        label="In the cold within"
        dimension="duration"
        value={cold.delayMin}
        {...BOUNDS.delayMin}
        hint="of the quench"
        onCommit={delayMin => set('In the cold within', { delayMin })}
      />
      <SelectField
        label="Before the cold"
        value={cold.snapTemperC === undefined ? 'nothing' : 'snap'}
        options={[
          ['nothing', 'nothing'],
          ['snap', `a snap temper, ${say.t(SNAP_TEMPER_C)} 1 h`],
        ]}
        hint={
          cold.snapTemperC === undefined
            ? undefined
            : 'For shapes that may crack. The cold then changes less austenite.'
        }
        onCommit={before => set('Snap temper', { snapTemperC: before === 'snap' ? SNAP_TEMPER_C : undefined })}
      />
    </>
  )
}

/** Fields that decide amount, air and effect here; box, vessel, leak and price are the workshop's. */
export function ColdFields() {
  const { shop, shown } = useBench()
  const { cold } = shop
  const isNitrogen = shown.group.route.cold !== null && coldWay(shown.group.route.cold.toC) === 'liquid-nitrogen'
  // What is stored is changed, not what is shown: two fields left closely one after the other keep both.
  const set = (change: (cold: Workshop['cold']) => Partial<Workshop['cold']>) =>
    saveShop(s => ({ ...s, cold: { ...s.cold, ...change(s.cold) } }), 'Cold')
  return (
    <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-6">
      {!isNitrogen && (
        <SelectField
          label="Bath"
          value={cold.bath.fluid}
          options={Object.entries(BATHS).map(([k, v]) => [k as BathFluid, v.label] as const)}
          onCommit={fluid => set(now => ({ bath: { ...now.bath, fluid } }))}
        />
      )}
      <ScaledField
        label={isNitrogen ? 'Nitrogen standing in the box' : 'Bath volume'}
        kind="bath"
        value={cold.bath.litres}
        {...BOUNDS.bathLitres}
        onCommit={litres => set(now => ({ bath: { ...now.bath, litres } }))}
      />
      <ScaledField
        label="Room"
        kind="volume"
        value={cold.room.m3}
        {...BOUNDS.roomM3}
        onCommit={m3 => set(now => ({ room: { ...now.room, m3 } }))}
      />
      <NumberField
        label="Air changes"
        unit="per hour"
        value={cold.room.airChangesPerH}
        {...BOUNDS.airChangesPerH}
        onCommit={airChangesPerH => set(now => ({ room: { ...now.room, airChangesPerH } }))}
      />
      <ColdTiming />
    </div>
  )
}
