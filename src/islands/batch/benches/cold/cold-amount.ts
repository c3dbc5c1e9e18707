import type { Caution } from '../../../../core/codes/caution'
import type { WorkingLine } from '../../../../core/codes/working'
import type { AirInRoom } from '../../../../core/cold/air-in-room'
import { dryIceFor } from '../../../../core/cold/dry-ice'
import { liquidNitrogenFor } from '../../../../core/cold/liquid-nitrogen'
import { coldWay } from '../../../../core/cold/way'
import type { BatchGroup } from '../../../../core/shop/batch'
import type { Workshop } from '../../../../core/shop/workshop'
import { hoursOf } from '../../../../core/units/time'
import { USUAL_ROOM_C } from '../../../../data/cold'
import { speakerOf } from '../../../../words/speaker'

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

/** Null for a freezer: it uses nothing up. */
export function coldAmount(cold: Cold, steelKg: number, shop: Workshop): ColdAmount | null {
  const { lossWPerK, room, bath, vesselKg } = shop.cold
  // Blades that were quenched stand in the room until they go in.
  const ambientC = shop.roomC ?? USUAL_ROOM_C
  const from = { steelKg, startC: ambientC, ambientC }
  const holdH = hoursOf(cold.holdMin)
  const way = coldWay(cold.toC)
  const say = speakerOf(shop.units)
  if (way === 'freezer') return null
  if (way === 'liquid-nitrogen') {
    const n = liquidNitrogenFor({ ...from, vesselKg, standingL: bath.litres, lossWPerK, holdH, room })
    return {
      label: 'Liquid nitrogen',
      ...parted(
        say.litres(n.coolantL),
        `: ${say.litres(n.chillL)} to chill, ${say.litres(n.holdL)} to hold${n.standingL > 0 ? `, ${say.litres(n.standingL)} standing` : ''}`,
      ),
      bought: n.coolantL,
      air: n.air,
      working: n.working,
      cautions: n.cautions,
    }
  }
  const ice = dryIceFor({ ...from, bath, vesselKg, lossWPerK, holdH, room })
  return {
    label: 'Dry ice',
    ...parted(say.mass(ice.coolantKg), `, ${say.litres(ice.coolantL)}; ${say.mass(ice.holdKg)} to hold`),
    bought: ice.coolantKg,
    air: ice.air,
    working: ice.working,
    cautions: ice.cautions,
  }
}

/** A quantity as a figure, with its unit and what else there is to say behind it. */
function parted(quantity: string, more: string): { readonly value: string; readonly unit: string } {
  const at = quantity.lastIndexOf(' ')
  return { value: quantity.slice(0, at), unit: `${quantity.slice(at + 1)}${more}` }
}
