import { chamberOf } from '../equipment/chambers'
import { stretchKWh } from '../oven/power'
import type { Workshop } from '../shop/workshop'
import { joinedWindows, type Window } from './problem'

/** Electricity of a day's ovens, kWh; so much of it in the cheap hours; and what it costs where the shop has a price. */
export interface DayPower {
  readonly kWh: number
  readonly cheapKWh: number
  readonly cost: number | null
}

interface Lane {
  readonly ovenId: string
  /** [min, °C] */
  readonly curve: readonly (readonly [min: number, c: number])[]
}

/** Returns the energy the ovens of a plan use from a minute on. `cheap`: off-peak hours, min. */
export function dayPower(
  lanes: readonly Lane[],
  shop: Pick<Workshop, 'ovens' | 'prices'>,
  { cheap, fromMin }: { readonly cheap: readonly Window[]; readonly fromMin: number },
): DayPower {
  const windows = joinedWindows(cheap)
  let [kWh, cheapKWh] = [0, 0]
  for (const { ovenId, curve } of lanes) {
    const oven = shop.ovens.find(({ id }) => id === ovenId)
    if (!oven) continue
    const chamber = chamberOf(oven)
    curve.slice(1).forEach(([endMin, toC], i) => {
      const [startMin, fromC] = curve[i] as readonly [number, number]
      const minutes = endMin - startMin
      if (minutes <= 0) return
      const perMin = stretchKWh(chamber, { fromC, toC, minutes }) / minutes
      const within = (from: number, to: number) => Math.max(0, Math.min(to, endMin) - Math.max(from, startMin, fromMin))
      kWh += perMin * within(startMin, endMin)
      cheapKWh += perMin * windows.reduce((sum, [from, to]) => sum + within(from, to), 0)
    })
  }
  const { kWh: price, cheap: rate } = shop.prices ?? {}
  if (price === undefined) return { kWh, cheapKWh, cost: null }
  return { kWh, cheapKWh, cost: (kWh - cheapKWh) * price + cheapKWh * (rate?.kWh ?? price) }
}
