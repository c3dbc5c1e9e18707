import { airOf, plateSize } from '../../../../core/plan/pull-list'
import type { Blade, Workshop } from '../../../../core/record/schemas'
import { PACE } from '../../../../data/pace'
import type { BenchProps } from '../bench-props'

/** One blade, or several, between this shop's plates, as the worker is asked. */
export const quenchRequestOf = (
  blade: Blade,
  plan: BenchProps['plan'],
  shop: Workshop,
  contactWPerM2K: number,
  count = 1,
) => ({
  blade: { thicknessMm: blade.thicknessMm, widthMm: blade.widthMm, lengthMm: blade.lengthMm },
  fromC: plan.group.route.austenitizeC,
  medium: 'plates' as const,
  plates: { ...plateSize(shop), startC: shop.plates.startC, cooling: shop.plates.air },
  count,
  everyS: PACE.pullEveryMin * 60,
  clampedS: PACE.clampedS,
  contactWPerM2K,
  airWPerM2K: airOf(shop),
  martensiteStartC: plan.prediction.martensiteStartC,
})
