import type { BatchModel, GroupModel } from '../../../../core/bench/batch-model'
import { airOf, plateSize } from '../../../../core/equipment/plates'
import type { Line } from '../../../../core/shop/blade'
import { secondsOf } from '../../../../core/units/time'
import { PACE } from '../../../../data/pace'
import { CONTACT } from '../../../../data/thermal'

/** One blade of a line, or several, between this shop's plates, as the worker is asked. */
export const quenchRequestOf = (
  line: Line,
  shown: GroupModel,
  shop: BatchModel['shop'],
  contactWPerM2K: number,
  count = 1,
) => ({
  blade: { thicknessMm: line.thicknessMm, widthMm: line.widthMm, lengthMm: line.lengthMm },
  fromC: shown.group.route.austenitizeC,
  medium: 'plates' as const,
  plates: { ...plateSize(shop), startC: shop.plates.startC, cooling: shop.plates.air },
  count,
  everyS: secondsOf(PACE.pullEveryMin),
  clampedS: PACE.clampedS,
  contactWPerM2K,
  airWPerM2K: airOf(shop),
  martensiteStartC: shown.prediction.martensiteStartC,
})

/** The ground edge of a line's blades, which hangs in its foil beside the plates, as the worker is asked. */
export const edgeRequestOf = (line: Line, edgeMm: number, shown: GroupModel, shop: BatchModel['shop']) => ({
  ...quenchRequestOf(line, shown, shop, CONTACT.clampedFoil),
  blade: { thicknessMm: edgeMm, widthMm: line.widthMm, lengthMm: line.lengthMm },
  medium: 'still-air' as const,
})
