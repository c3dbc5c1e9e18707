import type { AirInRoom } from '../../../../core/cold/air-in-room'
import { dryIceFor } from '../../../../core/cold/dry-ice'
import { liquidNitrogenFor } from '../../../../core/cold/liquid-nitrogen'
import type { BatchGroup, Workshop } from '../../../../core/record/schemas'
import type { Caution, WorkingLine } from '../../../../core/result'
import { formatQuantity } from '../../../../core/units/quantity'

type Cold = NonNullable<BatchGroup['route']['cold']>

/** Coolant of a chill as the bench shows it. */
export interface ColdAmount {
  readonly label: string
  readonly value: string
  readonly unit: string
  /** In the unit it is bought in: kg of dry ice, litres of nitrogen. */
  readonly bought: number
  readonly air: AirInRoom
  readonly working: readonly WorkingLine[]
  readonly cautions: readonly Caution[]
}

export const coldWay = (toC: number) => (toC > -40 ? 'freezer' : toC > -120 ? 'dry-ice' : 'liquid-nitrogen')

/** Null for a freezer: it uses nothing up. */
export function coldAmount(cold: Cold, steelKg: number, shop: Workshop): ColdAmount | null {
  const { lossWPerK, room, bath, vesselKg } = shop.cold
  const holdH = cold.holdMin / 60
  const way = coldWay(cold.toC)
  if (way === 'freezer') return null
  if (way === 'liquid-nitrogen') {
    const n = liquidNitrogenFor({ steelKg, startC: 20, lossWPerK, holdH, room })
    return {
      label: 'Liquid nitrogen',
      value: n.coolantL.toFixed(1),
      unit: `L: ${n.chillL.toFixed(1)} to chill, ${n.holdL.toFixed(1)} to hold`,
      bought: n.coolantL,
      air: n.air,
      working: n.working,
      cautions: n.cautions,
    }
  }
  const ice = dryIceFor({ steelKg, startC: 20, bath, vesselKg, lossWPerK, holdH, room })
  const shown = formatQuantity(ice.coolantKg, 'mass', shop.units)
  return {
    label: 'Dry ice',
    value: shown.split(' ')[0] ?? '',
    unit: `${shown.split(' ')[1]}, ${ice.coolantL.toFixed(1)} L; ${formatQuantity(ice.holdKg, 'mass', shop.units)} to hold`,
    bought: ice.coolantKg,
    air: ice.air,
    working: ice.working,
    cautions: ice.cautions,
  }
}
