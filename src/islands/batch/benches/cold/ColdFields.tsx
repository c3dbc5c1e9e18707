import { type BatchGroup, BOUNDS, type Workshop } from '../../../../core/record/schemas'
import { inShopUnits } from '../../../../core/units/prose'
import { BATHS, type BathFluid } from '../../../../data/cold'
import { saveShop } from '../../../../store/records'
import { NumberField, SelectField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { editGroup } from '../../edit'
import type { BenchProps } from '../bench-props'

/** Low enough to relieve, too low to soften. Common practice, no published source. */
const SNAP_TEMPER_C = 150

/** When the cold comes, and what comes before it: both decide how much of the soft austenite it still turns. */
function ColdTiming({ batch, plan, shop }: Pick<BenchProps, 'batch' | 'plan' | 'shop'>) {
  const { group } = plan
  const { cold } = group.route
  if (!cold) return null
  const set = (label: string, part: Partial<NonNullable<BatchGroup['route']['cold']>>) =>
    void editGroup(batch, group.id, label, g => ({
      ...g,
      recipeId: null,
      route: { ...g.route, cold: g.route.cold && { ...g.route.cold, ...part } },
    }))
  return (
    <>
      <QuantityField
        label="Delay before it"
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
          ['snap', inShopUnits(`a snap temper, ${SNAP_TEMPER_C} °C 1 h`, shop.units)],
        ]}
        hint={cold.snapTemperC === undefined ? undefined : 'For shapes that crack; the cold then does less.'}
        onCommit={before => set('Snap temper', { snapTemperC: before === 'snap' ? SNAP_TEMPER_C : undefined })}
      />
    </>
  )
}

/** What decides amount, air and effect here; box, vessel, leak and price are the workshop's. */
export function ColdFields({ batch, plan, shop }: Pick<BenchProps, 'batch' | 'plan' | 'shop'>) {
  const { cold } = shop
  const set = (part: Partial<Workshop['cold']>) => void saveShop(s => ({ ...s, cold: { ...s.cold, ...part } }))
  return (
    <div className="grid grid-cols-2 items-start gap-3 sm:grid-cols-6">
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
      <ColdTiming batch={batch} plan={plan} shop={shop} />
    </div>
  )
}
